import { MenuOutlined } from '@ant-design/icons';
import styles from './views-menu.module.css';
import { WORDS } from './words';

/** The other views of an outing. A new one is one more row. */
const VIEWS = [
  { path: '/way', name: 'Way home' },
  { path: '/walk', name: 'Walk home' },
  { path: '/paper', name: 'Paper' },
  { path: '/pegs', name: 'Pegs and string' },
  { path: '/norths', name: 'Norths' },
  { path: '/paces', name: 'Paces' },
  { path: '/count', name: 'Counter' },
  { path: '/files', name: 'Files' },
  { path: '/guide', name: 'Guide' },
] as const;

/** The way to the other views: a native disclosure, so that it is there before any script is. */
export function ViewsMenu({ id }: { id: string }) {
  return (
    <details className={styles.menu}>
      <summary aria-label={WORDS.views} title={WORDS.views}>
        <MenuOutlined aria-hidden="true" />
      </summary>
      <nav aria-label={WORDS.views}>
        {VIEWS.map(({ path, name }) => (
          // Whole page loads: they work from the offline cache like any other.
          <a key={path} href={`${path}?id=${encodeURIComponent(id)}`}>
            {name}
          </a>
        ))}
      </nav>
    </details>
  );
}
