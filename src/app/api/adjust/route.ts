import { endpoint, LOGS } from '../answering/endpoint';

const { POST, refuse, options } = endpoint('adjust', LOGS);
export {
  POST,
  refuse as GET,
  refuse as PUT,
  refuse as PATCH,
  refuse as DELETE,
  options as OPTIONS,
};
