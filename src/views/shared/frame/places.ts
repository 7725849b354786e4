import AimOutlined from '@ant-design/icons-svg/es/asn/AimOutlined';
import BookOutlined from '@ant-design/icons-svg/es/asn/BookOutlined';
import EnvironmentOutlined from '@ant-design/icons-svg/es/asn/EnvironmentOutlined';
import FolderOutlined from '@ant-design/icons-svg/es/asn/FolderOutlined';
import HomeOutlined from '@ant-design/icons-svg/es/asn/HomeOutlined';
import NodeIndexOutlined from '@ant-design/icons-svg/es/asn/NodeIndexOutlined';
import OrderedListOutlined from '@ant-design/icons-svg/es/asn/OrderedListOutlined';
import ReadOutlined from '@ant-design/icons-svg/es/asn/ReadOutlined';
import type { IconDefinition } from '@ant-design/icons-svg/es/types';
import { MENU_VIEWS, viewTitle, type ViewId } from '@/views/views';

/** A place of the frame: one tap away from every page. */
interface Place {
  readonly view: ViewId;
  readonly label: string;
  /** The whole of its name, where the label is a part of it. */
  readonly name?: string;
  readonly icon: IconDefinition;
  /** The key by which its address names the outing in hand; null for one that is about none. */
  readonly of: 'id' | 'outing' | null;
  /** On a phone it is in the bar; the others are behind "More". */
  readonly inBar: boolean;
}

/** The places in the rail of a desk, and in the bar of a phone. A new one is a line here. */
export const PLACES: readonly Place[] = [
  { view: 'outing', label: 'Log', icon: OrderedListOutlined, of: 'id', inBar: true },
  { view: 'map', label: 'Map', icon: EnvironmentOutlined, of: 'outing', inBar: true },
  {
    view: 'home-now',
    label: 'Home',
    name: viewTitle('home-now'),
    icon: HomeOutlined,
    of: 'id',
    inBar: true,
  },
  { view: 'fix', label: 'Fix', icon: AimOutlined, of: 'id', inBar: true },
  { view: 'route', label: 'Route', icon: NodeIndexOutlined, of: null, inBar: false },
  { view: 'practice', label: 'Practice', icon: ReadOutlined, of: null, inBar: false },
  { view: 'files', label: 'Files', icon: FolderOutlined, of: 'id', inBar: false },
  { view: 'guide', label: 'Guide', icon: BookOutlined, of: 'id', inBar: false },
];

const inRail = new Set<ViewId>(PLACES.map(({ view }) => view));

/** The other views of an outing, behind "More". */
export const MORE_VIEWS = MENU_VIEWS.filter(({ id }) => !inRail.has(id));

/** Views whose `id` in the address is that of an outing: it is then the one in hand. */
export const OUTING_VIEWS: readonly ViewId[] = ['outing', ...MENU_VIEWS.map(({ id }) => id)];
