'use client';
import { useCallback } from 'react';
import type { Question } from '@/core/practice/question';
import type { Degrees } from '@/core/units/units';
import { Compass } from '../compass/compass';
import { PanoramaView } from '../scenes/panorama';
import { useTrainer } from '../use-trainer';
import { Waiting } from '../scenes/waiting';
import { WORDS } from '../words';
import type { Draft } from './draft';
import page from './exercise.module.css';
import { MapScene, type SceneProps } from './map-scene';

interface Props {
  question: Question;
  draft: Draft;
  /** Without it the scene is only looked at. */
  onDraft?: (change: Partial<Draft>) => void;
}

/** What is drawn beside a question, and how it is answered by hand. */
export function SceneView({ question, draft, onDraft }: Props) {
  const { scene, wanted } = question;
  switch (scene.kind) {
    case 'words':
      return null;
    case 'log':
      return (
        <ol className={page.log} aria-label={WORDS.logLabel}>
          {scene.lines.map((line, index) => (
            <li key={index}>{line}</li>
          ))}
        </ol>
      );
    case 'compass': {
      const turns = wanted.kind === 'compass' || scene.setting.isAdjustable;
      return (
        <Compass
          setting={scene.setting}
          compass={draft.compass}
          part={scene.part}
          onChange={
            onDraft && turns
              ? (change) => onDraft({ compass: { ...draft.compass, ...change } })
              : undefined
          }
        />
      );
    }
    case 'map':
      return <MapScene question={question} draft={draft} onDraft={onDraft} scene={scene} />;
    case 'panorama':
      return <PanoramaScene question={question} draft={draft} onDraft={onDraft} scene={scene} />;
  }
}

function PanoramaScene({ question, draft, onDraft, scene }: SceneProps<'panorama'>) {
  const { country, at, fogMetres } = scene;
  const asked = useTrainer(
    useCallback((remote) => remote.panorama(country, at, fogMetres), [country, at, fogMetres]),
  );
  const turn = useCallback((facing: Degrees) => onDraft?.({ facing }), [onDraft]);
  if (asked.status !== 'ready') return <Waiting failed={asked.status === 'failed'} />;
  return (
    <PanoramaView
      panorama={asked.value}
      facing={draft.facing}
      angleEast={Number(question.given.angleEast ?? 0)}
      onTurn={turn}
    />
  );
}
