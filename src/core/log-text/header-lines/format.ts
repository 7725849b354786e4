import type { HeaderLine } from './header-line';

/** `cairn-back log 1`: says what the text is; optional on reading, and then first. */
export const formatLine: HeaderLine = {
  keyword: 'cairn-back',
  once: 'header',
  takesWholeLine: false,
  read(cursor) {
    if (!cursor.take(/log\s+1(?!\S)/iy)) cursor.expected('header');
    cursor.finish();
    return {};
  },
  write: () => ({ text: 'log 1' }),
};
