/** The sentences of one file of source code, in order: the line where each begins, and its text with {} for what is put in. */
export function sentencesIn(file: string, source: string): { line: number; text: string }[];
/** Lines where a module asks for a message while it is loaded. */
export function askedWhileLoading(file: string, source: string): number[];
