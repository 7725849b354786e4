import type { WayHome } from '@/core/navigation/ways/ways-home';
import type { Metres } from '@/core/units/units';
import { distanceText, lengthText, speedText, uncertaintyText } from '@/ui/units/shown';
import { visibleText } from '@/core/units/visible';
import { SHARED_WORDS } from '@/views/shared/words/words';

/** The words of the Way home view. */
export const WORDS = {
  sure: 'How sure',
  atHome: (place: string) => `You are at ${place}: there is no way to walk.`,
  sightRange: 'How far away you would see it',
  within: SHARED_WORDS.within,
  seen: (range: Metres, chance: string) =>
    `Chance of seeing it from ${lengthText(range)}: ${chance}.`,
  cancels:
    'What the way out and the walk home have in common cancels: the same compass held in the ' +
    'same way, the same stride on the same ground. All else adds up.',
  yourErrors: 'Your own errors, and those of this outing',
  onMap: (metres: Metres) =>
    `On a map your position is within ${uncertaintyText(metres)} of the sketched one ` +
    '(95 %): constant errors of compass and pace included.',
  sources: 'Where the uncertainty comes from',
  helps: 'What would help most',
  nothingHelps: 'No single change would make it a tenth smaller.',
  comesDown: (nowMetres: Metres, thenMetres: Metres) => {
    const [now, then] = [uncertaintyText(nowMetres), uncertaintyText(thenMetres)];
    return now === then ? `less than ±${now}` : `±${now} becomes ±${then}`;
  },
  means: 'How you walk home',
  meansAim: 'You follow',
  meansPace: 'You count',
  meansSpeed: 'Speed home',
  aims: { needle: 'needle', landmark: 'landmark', sighted: 'sighted' },
  general: 'paces',
  onGround: (ground: string) => `paces on ${ground}`,
  byClock: 'minutes',
  meansUsual: 'Same as the last leg in the log. Tap to change it for this outing.',
  meansSaid: 'As chosen for this outing.',
  choose: (name: string) => `Walk this way: ${name.toLowerCase()}`,
  ways: 'Ways home',
  weighedBy: 'Sight, speed, climb, another station',
  line: (letter: string) => `Line through home (${letter})`,
  lineHint: '095',
  lineHelp: 'Bearing of a path, shore or fence',
  side: 'Aim to its',
  left: 'left',
  right: 'right',
  speed: 'Speed',
  climb: 'Climb',
  ownSpeed: (kilometresPerHour: number) => `Your speed so far: ${speedText(kilometresPerHour)}.`,
  wayFigures: (way: WayHome, within: Metres) =>
    `${distanceText(way.metres)} · ${way.kind === 'aim-off' ? 'the line' : 'home'} within ` +
    `${uncertaintyText(within)} (95 %)`,
  wayTime: (minutes: number, arrives: string) =>
    ` · ${Math.round(minutes)} min · there at ${arrives}`,
  moreStretches: (count: number) => `and ${count} more`,
  wayChance: (range: Metres, chance: string) =>
    `Chance of seeing it (${lengthText(range)}): ${chance}.`,
  byMarks: (last: string, chance: string, hardest: string, hardestChance: string) =>
    `If you recognise each mark on the way, it is ${chance} from ${visibleText(last)}; the ` +
    `hardest to come upon is ${visibleText(hardest)}: ${hardestChance}. If you miss one, the ` +
    'figure above holds.',
  dark: 'after sunset',
  walks: '1,000 simulated walks',
  walksHow: 'Each dot is where one walk out and home would end, with random errors of its own.',
  inside: (count: number) => `${count} of them lie inside the 95 % ellipse; 950 are expected.`,
  simulate: 'Simulate 1,000,000 walks',
  cancel: SHARED_WORDS.cancel,
  simulated: (way: string, trials: string, share: string, formula: string) =>
    `${way}: of ${trials} walks ${share} % came within sight; the formula says ${formula} %.`,
  thenSearch: (share: string, formula: string) =>
    `With a search after it (expanding square) ${share} % found home; the formula says ` +
    `${formula} %.`,
  failed: 'The simulation failed. The figures above do not depend on it.',
  message: 'To send or read out',
  sender: { name: 'Your name', party: 'Who is with you', need: 'What you need' },
  copy: 'Copy',
  copied: 'Copied.',
  share: SHARED_WORDS.share,
  noShare: 'This browser can’t share. Copy the text instead.',
  print: 'Print',
  pegs: 'Pegs and string',
  notSimulated: 'Simulation uses the outing as walked. The figures here use the adjusted one.',
  caution:
    'The straight line ignores cliffs, water and private land. If you are unsure, stop, sit ' +
    'down, think, look, plan. Being lost at dusk is a reason to stay put. Local rules and the ' +
    'local rescue service come first.',
} as const;
