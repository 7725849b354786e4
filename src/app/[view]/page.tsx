import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { Suspense } from 'react';
import { View, type TabledView } from '@/views/view';
import { VIEWS, type View as ListedView } from '@/views/views';

interface Props {
  readonly params: Promise<{ view: string }>;
}

/** The views that have no page of their own. */
const PAGES = VIEWS.filter(
  (view): view is Extract<ListedView, { id: TabledView }> =>
    view.path !== '/' && view.id !== 'home-now',
);

/** One static page a view; which outing it shows is in the query, `?id=`. */
export const dynamicParams = false;
export const generateStaticParams = () => PAGES.map(({ id }) => ({ view: id }));

async function viewOf({ params }: Props) {
  const { view: wanted } = await params;
  return PAGES.find(({ id }) => id === wanted) ?? notFound();
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
