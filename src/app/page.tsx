import { Shelf } from '@/views/shelf/shelf';

export default function Page() {
  return <Shelf />;
}
