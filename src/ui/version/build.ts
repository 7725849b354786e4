/** The id of the build that a page belongs to. */
export const BUILD = process.env.NEXT_PUBLIC_BUILD ?? 'development';
