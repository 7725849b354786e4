/** What an endpoint is asked once its body is here: plain data, since it goes to another thread. */
export interface Question {
  /** The query of the address, with or without its question mark. */
  readonly query: string;
  /** The media type of the body, without its parameters, in lower case. */
  readonly mediaType: string;
  readonly text: string;
}

/** What comes back: the body of an answer and its media type. */
export interface Answer {
  readonly mediaType: string;
  readonly text: string;
}

/** An answer in JSON. */
export const json = (value: unknown): Answer => ({
  mediaType: 'application/json',
  text: JSON.stringify(value),
});
