import { View } from '@/views/view';

/** The start page: the outings. */
export default function Page() {
  return <View id="outings" />;
}
