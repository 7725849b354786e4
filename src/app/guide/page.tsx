import { Guide } from '@/views/guide/guide';

export default function Page() {
  return <Guide />;
}
