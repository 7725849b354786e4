import type { HandCompass } from '@/core/practice/compass/hand-compass';
import type { Answer, Question } from '@/core/practice/question';
import { normalised } from '@/core/units/angle';
import { azimuthOf, vectorBetween, type PlanePoint } from '@/core/units/plane';
import type { Degrees } from '@/core/units/units';
import { WORDS } from '../words';

/** An answer while it is being made: what was typed, turned or tapped. */
export interface Draft {
  readonly text: string;
  readonly metres: string;
  readonly choice: string | null;
  readonly compass: HandCompass;
  readonly plate: { readonly edge: Degrees; readonly dial: Degrees };
  readonly turn: Degrees;
  readonly point: PlanePoint | null;
  readonly facing: Degrees;
  /** Lines drawn on the map: from which mark, on which grid bearing, as typed. */
  readonly drawn: Readonly<Record<string, string>>;
}

/** Before anything was done. */
export function draftFor({ scene }: Question): Draft {
  return {
    text: '',
    metres: '',
    choice: null,
    compass:
      scene.kind === 'compass'
        ? scene.setting.start
        : { bodyDegrees: 0, dialDegrees: 0, housingEast: 0 },
    plate: { edge: 0, dial: 0 },
    turn: scene.kind === 'map' ? scene.turned : 0,
    point: null,
    facing: scene.kind === 'panorama' ? scene.facing : 0,
    drawn: {},
  };
}

/** As it is when it is done right: what is shown before one tries. */
export function shownDraft(question: Question): Draft {
  const { right, scene, wanted, given } = question;
  const draft = draftFor(question);
  if (scene.kind === 'panorama') return { ...draft, facing: Number(given.azimuth ?? scene.facing) };
  if (right.kind === 'compass') {
    const { dialDegrees, bodyDegrees } = right;
    return {
      ...draft,
      compass: { ...draft.compass, dialDegrees, bodyDegrees },
      plate: { edge: bodyDegrees, dial: dialDegrees },
    };
  }
  if (right.kind === 'place' && scene.kind === 'map') {
    const drawn = scene.marked.map(({ letter, point }) => {
      const back = Math.round(azimuthOf(vectorBetween(point, right.point)));
      return [letter, String(back % 360)] as const;
    });
    return { ...draft, point: right.point, drawn: Object.fromEntries(drawn) };
  }
  if (wanted.kind === 'turn' && right.kind === 'bearing') return { ...draft, turn: right.degrees };
  return draft;
}

const numberOf = (text: string): number | null =>
  /^\s*\d+([.,]\d+)?\s*$/.test(text) ? Number(text.trim().replace(',', '.')) : null;

/** A bearing as typed, in [0, 360); null where it is none. */
export const bearingOf = (text: string): number | null => {
  const degrees = numberOf(text);
  return degrees === null || degrees > 360 ? null : normalised(degrees);
};

/** The answer of a draft, or what is missing yet in words. */
export function answerOf({ wanted, scene }: Question, draft: Draft): Answer | string {
  switch (wanted.kind) {
    case 'bearing': {
      const degrees = bearingOf(draft.text);
      return degrees === null ? WORDS.needBearing : { kind: 'bearing', degrees };
    }
    case 'number': {
      const value = numberOf(draft.text);
      return value === null ? WORDS.needNumber : { kind: 'number', value };
    }
    case 'choice':
      return draft.choice === null ? WORDS.needChoice : { kind: 'choice', id: draft.choice };
    case 'compass': {
      const { compass, plate } = draft;
      return scene.kind === 'map'
        ? { kind: 'compass', dialDegrees: plate.dial, bodyDegrees: plate.edge }
        : { kind: 'compass', dialDegrees: compass.dialDegrees, bodyDegrees: compass.bodyDegrees };
    }
    case 'turn':
      return { kind: 'bearing', degrees: draft.turn };
    case 'place':
      return draft.point ? { kind: 'place', point: draft.point } : WORDS.needPlace;
    case 'way': {
      const [degrees, metres] = [bearingOf(draft.text), numberOf(draft.metres)];
      if (degrees === null) return WORDS.needBearing;
      return metres === null ? WORDS.needNumber : { kind: 'way', degrees, metres };
    }
  }
}
