import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { Desk } from '@/screens/desk/desk';
import { found } from '@/server/found';
import { storedAnswers } from '@/server/readings/refresh';
import { getStudy } from '@/server/studies/studies';

type Props = { params: Promise<{ id: string }> };

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const study = await found(getStudy, (await params).id);
  return { title: study?.document.title ?? 'Not found' };
}

export default async function DeskPage({ params }: Props) {
  const study = await found(getStudy, (await params).id);
  if (!study) notFound();
  return <Desk key={study.id} study={study} stored={await storedAnswers(study)} />;
}
