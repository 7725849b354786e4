import english from 'zod/v4/locales/en.js';

/**
 * For a reader whose faults a person sees: the validator's small form knows no language by itself,
 * and the words are too heavy for pages that show none.
 */
export const IN_ENGLISH = { error: english().localeError };
