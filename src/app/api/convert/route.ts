import { endpoint, LOGS } from '../answering/endpoint';

const { POST, refuse, options } = endpoint('convert', LOGS);
export {
  POST,
  refuse as GET,
  refuse as PUT,
  refuse as PATCH,
  refuse as DELETE,
  options as OPTIONS,
};
