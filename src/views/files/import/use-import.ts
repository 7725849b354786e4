import { useState } from 'react';
import type { ConflictChoice } from '@/store/import';
import { STORE_MESSAGES } from '@/ui/store-messages';
import type { FileImporter } from '@/workers/files';
import type { FileSummary, OfferedOuting } from '@/workers/files-protocol';
import { ENDED_WORDS, WORDS } from '../words';

/** What is done with an outing where nothing was chosen. A clash never replaces anything. */
const usualChoice = ({ conflict }: OfferedOuting): ConflictChoice =>
  conflict === 'discarded' ? 'replace' : 'keep-both';

/** The choices about what is there already, by the place in the file; then the import. */
export function useImport(
  importer: FileImporter,
  name: string,
  { outings, profiles }: FileSummary,
  onImported: (words: string) => void,
) {
  const [choices, setChoices] = useState<ReadonlyMap<number, ConflictChoice>>(new Map());
  const [fault, setFault] = useState('');
  const [share, setShare] = useState<number | null>(null);

  const choiceAt = (index: number): ConflictChoice =>
    choices.get(index) ?? usualChoice(outings[index]!);
  const clashes = [...outings.keys()].filter((index) => outings[index]!.conflict === 'other');
  const isWritten = (index: number) => {
    const { conflict } = outings[index]!;
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
    if (answer.kind === 'imported') onImported(WORDS.imported(answer.result, profiles));
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
