/** Below this chance the loops are told as unexplained. */
export const UNEXPLAINED = 0.01;
