/** The port that PORT asks for, or 3000; ends the program with one line where it is none. */
export function portWanted(text = process.env.PORT) {
  const port = text === undefined ? 3000 : Number(text);
  if (text?.trim() !== '' && Number.isInteger(port) && port >= 1 && port <= 65_535) return port;
  console.error(`PORT is “${text}”. It has to be a whole number from 1 to 65535.`);
  return process.exit(1);
}

/** Why a server can't listen, in one line. */
export const listenFault = (error, port) =>
  error.code === 'EADDRINUSE'
    ? `Port ${port} is in use by another program. Set PORT to one that is free.`
    : `Can’t listen on port ${port}: ${error.message}`;
