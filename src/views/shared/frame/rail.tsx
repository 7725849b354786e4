import EllipsisOutlined from '@ant-design/icons-svg/es/asn/EllipsisOutlined';
import SettingOutlined from '@ant-design/icons-svg/es/asn/SettingOutlined';
import { CairnMark } from '@/ui/cairn-mark';
import { Icon } from '@/ui/controls/icon';
import { viewTitle, viewUrl, type ViewId } from '@/views/views';
import styles from './frame.module.css';
import { FRAME_ID } from './frame-id';
import { FRAME_SCRIPT } from './frame-script';
import { MORE_VIEWS, PLACES } from './places';

/** Views that say nothing without an outing. */
const NEEDS_OUTING: ReadonlySet<ViewId> = new Set(['outing', ...MORE_VIEWS.map(({ id }) => id)]);

/** An outing has settings of its own. */
const SETTINGS = 'Settings of this device';

/** Filled in by the script, and never by the app. */
const NOTHING_YET = { __html: '' };

const placeOf = (view: ViewId, of: string | null) => ({
  href: viewUrl(view),
  'data-place': viewUrl(view),
  'data-of': of ?? undefined,
  'data-needs': NEEDS_OUTING.has(view) ? '' : undefined,
  // The script before the app has made it lead to the outing in hand.
  suppressHydrationWarning: true,
});

/**
 * The frame of every page: a rail at a desk, a bar under the thumb on a phone. It is a page's own
 * HTML: it is there, and works, before any of the app's code is.
 */
export const Rail = () => (
  <>
    <nav id={FRAME_ID} className={styles.frame} aria-label="Places">
      <a href="/" className={styles.cairn} aria-label="All outings" title="All outings">
        <CairnMark />
      </a>
      <span
        className={styles.inHand}
        data-in-hand=""
        suppressHydrationWarning
        dangerouslySetInnerHTML={NOTHING_YET}
      />
      {PLACES.map(({ view, label, name, icon, of, inBar }) => (
        <a
          key={view}
          className={styles.place}
          aria-label={name}
          data-bar={inBar}
          {...placeOf(view, of)}
        >
          <Icon of={icon} />
          <span>{label}</span>
        </a>
      ))}
      <button
        type="button"
        className={`${styles.place} ${styles.settings}`}
        aria-label={SETTINGS}
        data-settings=""
      >
        <Icon of={SettingOutlined} />
        <span>Settings</span>
      </button>
      <details className={styles.more}>
        <summary className={styles.place}>
          <Icon of={EllipsisOutlined} />
          <span>More</span>
        </summary>
        <div className={styles.others}>
          <a href="/">{viewTitle('outings')}</a>
          <button type="button" className={styles.onPhone} aria-label={SETTINGS} data-settings="">
            Settings
          </button>
          {PLACES.filter(({ inBar }) => !inBar).map(({ view, label, of }) => (
            <a key={view} className={styles.onPhone} {...placeOf(view, of)}>
              {label}
            </a>
          ))}
          {MORE_VIEWS.map(({ id, title, menu }) => (
            <a key={id} {...placeOf(id, 'id')}>
              <span suppressHydrationWarning>{title}</span> <small>{menu}</small>
            </a>
          ))}
        </div>
      </details>
    </nav>
    <script dangerouslySetInnerHTML={{ __html: FRAME_SCRIPT }} />
  </>
);
