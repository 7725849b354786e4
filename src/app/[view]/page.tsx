import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { Suspense } from 'react';
import { View } from '@/views/view';
import { VIEWS } from '@/views/views';

interface Props {
  readonly params: Promise<{ view: string }>;
}

/** One static page a view; which outing it shows is in the query, `?id=`. */
export const dynamicParams = false;
export const generateStaticParams = () =>
  VIEWS.filter(({ path }) => path !== '/').map(({ id }) => ({ view: id }));

async function viewOf({ params }: Props) {
  const { view: wanted } = await params;
  return VIEWS.find(({ id }) => id === wanted) ?? notFound();
}

export async function generateMetadata(props: Props): Promise<Metadata> {
  const { title } = await viewOf(props);
  return { title: `${title} · Cairn Back` };
}

export default async function Page(props: Props) {
  const { id } = await viewOf(props);
  return (
    <Suspense>
      <View id={id} />
    </Suspense>
  );
}
