import MenuOutlined from '@ant-design/icons-svg/es/asn/MenuOutlined';
import { withAngleName } from '@/ui/units/shown';
import { MENU_VIEWS, viewUrl } from '@/views/views';
import styles from './views-menu.module.css';
import { Icon } from '@/ui/controls/icon';
import { WORDS } from './words';

/** The other views of an outing: a native disclosure, so that it works before any script does. */
export function ViewsMenu({ id }: { id: string }) {
  return (
    <details className={styles.menu}>
      <summary title={WORDS.menu}>
        <Icon of={MenuOutlined} />
        <span className={styles.label}>{WORDS.menu}</span>
      </summary>
      <nav aria-label={WORDS.menu}>
        {MENU_VIEWS.map((view) => (
          // Whole page loads: they work from the offline cache like any other.
          <a key={view.id} href={viewUrl(view.id, id)}>
            {withAngleName(view.title)} <small>{view.menu}</small>
          </a>
        ))}
      </nav>
    </details>
  );
}
