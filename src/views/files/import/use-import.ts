import { useState } from 'react';
import { MOST_OUTINGS } from '@/core/model/area';
import type { ConflictChoice, ImportResult } from '@/store/import';
import { STORE_MESSAGES } from '@/ui/store-messages';
import type { FileImporter } from '@/workers/files';
import type { FileSummary, OfferedOuting } from '@/workers/files-protocol';
import { viewUrl } from '@/views/views';
import { ENDED_WORDS, WORDS } from '../words';
import { nth } from '@/core/units/nth';

/** What was imported, in words, and where it leads to. */
export interface Imported {
  readonly words: string;
  readonly link: { readonly href: string; readonly words: string } | null;
}

/** To a route that came alone, to the area of the outings, or to one that would join them. */
function importedOf(result: ImportResult, profiles: number): Imported {
  const words = WORDS.imported(result, profiles);
  const [route] = result.routes;
  if (route !== undefined && result.ids.length === 0) {
    return { words, link: { href: viewUrl('route', route), words: WORDS.openRoute } };
  }
  const [area] = result.areas;
  if (area !== undefined) {
    return { words, link: { href: viewUrl('area', area), words: WORDS.openArea } };
  }
  const [outing] = result.ids;
  if (outing !== undefined && result.ids.length === 1) {
    return { words, link: { href: viewUrl('outing', outing), words: WORDS.openOuting } };
  }
  if (result.ids.length < 2 || result.ids.length > MOST_OUTINGS) return { words, link: null };
  const href = viewUrl('area', undefined, { with: result.ids.join(' ') });
  return { words, link: { href, words: WORDS.joinThem } };
}

/** What is done with an outing where nothing was chosen. A clash never replaces anything. */
const usualChoice = ({ conflict }: OfferedOuting): ConflictChoice =>
  conflict === 'discarded' ? 'replace' : 'keep-both';

/** The choices about what is there already, by the place in the file; then the import. */
export function useImport(
  importer: FileImporter,
  name: string,
  { outings, profiles }: FileSummary,
  onImported: (imported: Imported) => void,
) {
  const [choices, setChoices] = useState<ReadonlyMap<number, ConflictChoice>>(new Map());
  const [fault, setFault] = useState('');
  const [share, setShare] = useState<number | null>(null);

  const choiceAt = (index: number): ConflictChoice =>
    choices.get(index) ?? usualChoice(nth(outings, index));
  const clashes = [...outings.keys()].filter((index) => nth(outings, index).conflict === 'other');
  const isWritten = (index: number) => {
    const { conflict } = nth(outings, index);
    return conflict !== 'same' && !(conflict === 'other' && choiceAt(index) === 'skip');
  };
  const choose = (indices: readonly number[], choice: ConflictChoice) => {
    const next = new Map(choices);
    for (const index of indices) next.set(index, choice);
    setChoices(next);
  };
  const importAll = async () => {
    setFault('');
    setShare(0);
    const answer = await importer.import([...outings.keys()].map(choiceAt), setShare);
    setShare(null);
    if (answer.kind === 'imported') onImported(importedOf(answer.result, profiles));
    else if (answer.kind === 'store-fault') setFault(STORE_MESSAGES[answer.fault]);
    else if (answer.kind !== 'cancelled') setFault(ENDED_WORDS[answer.kind](name));
  };
  return {
    choiceAt,
    choose,
    /** The places of outings that exist with other contents. */
    clashes,
    /** How many outings would be written. */
    count: [...outings.keys()].filter(isWritten).length,
    fault,
    /** The share that is written; null while nothing is being imported. */
    share,
    importAll,
  };
}
