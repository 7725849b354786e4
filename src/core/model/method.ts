/** How the readings of a survey become places. They themselves are never altered. */
export const METHODS = ['as-walked', 'compass-rule', 'least-squares'] as const;
export type Method = (typeof METHODS)[number];
