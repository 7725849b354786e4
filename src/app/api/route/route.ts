import { endpoint, QUESTION } from '../answering/endpoint';

const { POST, refuse, options } = endpoint('route', QUESTION);
export {
  POST,
  refuse as GET,
  refuse as PUT,
  refuse as PATCH,
  refuse as DELETE,
  options as OPTIONS,
};
