/** A link that stands by itself, as large as a button. */
export const LINK = 'inline-flex min-h-11 min-w-11 items-center font-semibold text-spruce underline';
