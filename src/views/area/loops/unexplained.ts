/** Below this chance the loops are reported as unexplained. */
export const UNEXPLAINED = 0.01;
