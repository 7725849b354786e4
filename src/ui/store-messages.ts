import type { StoreFault } from '@/store/store-fault';

/** What the person is told when the store fails. */
export const STORE_MESSAGES: Readonly<Record<StoreFault, string>> = {
  full:
    'This device has no space left, so nothing more can be saved here. Free some space, or copy ' +
    'the log now.',
  newer:
    'The logs on this device were written by a newer version of Cairn Back. Reload the page to ' +
    'get that version; nothing was changed.',
  blocked: 'Another tab of Cairn Back is using the logs. Close the other tabs, then try again.',
  unavailable:
    'This browser doesn’t let Cairn Back store anything: its storage is off, private or damaged. ' +
    'What you type here is not saved.',
  failed:
    'This could not be saved, and the browser doesn’t say why. Try again, or copy the log now.',
};
