import styles from './last-home.module.css';
import { LAST_HOME_ID, LAST_HOME_SCRIPT } from './last-home-script';

/** Filled in by the script below it, and never by the app. */
const EMPTY =
  '<a><span data-bearing></span> <span data-north></span> <b data-walk></b> ' +
  '<span data-to></span> <span data-sure></span> <small data-age></small></a>';

/** The last known way home, in the first second: until the log has been read. */
export const LastHome = () => (
  <>
    <aside
      id={LAST_HOME_ID}
      aria-label="Last known way home"
      className={styles.last}
      hidden
      suppressHydrationWarning
      dangerouslySetInnerHTML={{ __html: EMPTY }}
    />
    <script dangerouslySetInnerHTML={{ __html: LAST_HOME_SCRIPT }} />
  </>
);
