/** Two notes of one line as one; a note that isn't there adds nothing. */
export const joinedNotes = (first: string | undefined, second: string | undefined) =>
  first !== undefined && second !== undefined ? `${first}, ${second}` : (first ?? second);
