import { answering, Refused } from '../answering/refusal';

/** An address under /api/ that is none: an error of the usual shape, whatever the method. */
const nothing = answering(() => {
  throw new Refused(404, { message: 'There is no such endpoint.' });
});
export {
  nothing as GET,
  nothing as POST,
  nothing as PUT,
  nothing as PATCH,
  nothing as DELETE,
  nothing as OPTIONS,
};
