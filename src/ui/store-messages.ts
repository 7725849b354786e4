import type { StoreFault } from '@/store/store-fault';

/** What the person is shown when the store fails. */
export const STORE_MESSAGES: Readonly<Record<StoreFault, string>> = {
  full:
    'This device has no space left, so nothing more can be saved here. Free some space, or copy ' +
    'the log now.',
  newer:
    'The logs on this device were written by a newer version of Cairn Back, and nothing was ' +
    'changed. This page loads that version as soon as it can be reached.',
  waiting:
    'This page is of a new version of Cairn Back, and other tabs still use the old one. It opens ' +
    'when they have moved on.',
  blocked: 'Another tab of Cairn Back is using the logs. Close the other tabs, then try again.',
  unavailable:
    'This browser doesn’t let Cairn Back store anything: its storage is off, private or damaged. ' +
    'What you type here is not saved.',
  silent:
    'The browser does not answer when Cairn Back saves. What you typed is not saved, and stays ' +
    'here. Close all tabs of Cairn Back and open it again.',
  gone: 'This was deleted in another tab, so the change was not saved. Restore it there first.',
  'no-files':
    'This browser keeps outings but refuses to store this picture: it may be a private window, ' +
    'or the picture is too large for it. The outings are safe.',
  failed:
    'This could not be saved, and the browser doesn’t say why. Try again, or copy the log now.',
};
