/** The words of the guide. The pictures are paths in a box of 120 by 80. */
export const WORDS = {
  checks: 'Before you leave',
  open: (count: number) => (count === 1 ? '1 check left.' : `${count} checks left.`),
  allDone: 'All checked.',
  method: 'The method, step by step',
  practise: 'Practise these skills',
  cautions: 'Cautions',
} as const;

export const CHECKS = [
  {
    key: 'free',
    name: 'The needle swings freely.',
    how: 'Held level, it swings and settles; there is no bubble.',
  },
  {
    key: 'second',
    name: 'The compass agrees',
    how: 'with a second compass, or with a mark whose direction you know.',
  },
  {
    key: 'iron',
    name: 'Iron and phone are kept away.',
    how:
      'Bring the knife, the phone, the buckle near and see whether the needle moves. Keep what ' +
      'moves it at arm’s length while you read.',
  },
  {
    key: 'pace',
    name: 'Your pace is calibrated',
    how: 'on ground like today’s, with today’s load.',
  },
  {
    key: 'norths',
    name: 'Declination is settled.',
    how: 'It is set, or you use no map.',
  },
  {
    key: 'light',
    name: 'There is daylight enough',
    how: 'for the way out, the way back, and a reserve.',
  },
  {
    key: 'start',
    name: 'You know the start.',
    how: 'What will you see, hear or smell when you are back?',
  },
  {
    key: 'told',
    name: 'Someone knows.',
    how: 'Where you are going, when you will be back, whom to call.',
  },
  { key: 'paper', name: 'Paper map and a pencil.', how: 'For when the screen dies.' },
] as const;

export const METHOD = [
  {
    name: 'Take a bearing',
    words:
      'Hold the compass level in front of you, its arrow along your way. Turn the dial until N ' +
      'lies under the marked end of the needle. Read the bearing.',
    picture:
      'M60 70A30 30 0 1 1 60.1 70ZM60 16V4M54 10L60 2L66 10M60 26L66 40L60 54L54 40ZM54 40H66',
  },
  {
    name: 'Pick a mark and walk',
    words:
      'Choose something on that line: a tree, a stone. Walk to it without looking at the ' +
      'compass. Count every second step.',
    picture:
      'M8 70H112M20 70V58M20 58l-6 12M104 70V40M104 16L92 42H116ZM28 62H88M80 56L90 62L80 68',
  },
  {
    name: 'Log the leg',
    words:
      'Bearing, count, and what you saw on the way. Then look back and read the back bearing: it ' +
      'should be 180° from the first, give or take a few degrees.',
    picture: 'M30 8H90V72H30ZM38 22H82M38 36H82M38 50H66M100 30l8 8M100 46l8-8',
  },
  {
    name: 'Box an obstacle',
    words:
      'Turn 90° and count out; turn along your bearing again and count; turn back and count as ' +
      'many. Only the part along counts.',
    picture: 'M10 50H38V20H82V50H112M48 34H72V66H48Z',
  },
  {
    name: 'Read the way home',
    words:
      'It is always at the foot of the outing: set this bearing, walk this far. The ellipse in ' +
      'the sketch shows how far off you may end.',
    picture:
      'M16 60L44 20L78 30L100 60M100 60L88 60M74 60L62 60M48 60L36 60M26 60H16M16 60' +
      'm-9 0a9 9 0 1 0 18 0a9 9 0 1 0-18 0',
  },
  {
    name: 'Aim off, if a line helps',
    words:
      'If a path or shore runs through home, aim to one side of home on purpose. When you meet ' +
      'the line you know which way to turn.',
    picture:
      'M8 16H112M92 70L40 20M40 20L50 22M40 20L44 30M40 16m-4 0a4 4 0 1 0 8 0' +
      'a4 4 0 1 0-8 0M60 16m-5 0a5 5 0 1 0 10 0a5 5 0 1 0-10 0M46 10H54M50 6L55 10' +
      'L50 14',
  },
  {
    name: 'Search, if home is not in sight',
    words: 'Stop. Mark the place. Walk an expanding square around it, and look after every leg.',
    picture: 'M60 40H72V52H48V28H84V64H36V16H96V76H24',
  },
] as const;

export const CAUTIONS = [
  'A compass read near iron, a phone, a power line or magnetic rock is wrong.',
  'Pace counts stretch in rough ground, uphill, in the dark and when you are tired.',
  'The straight line home ignores cliffs, water and private land. Do not walk off an edge ' +
    'because a number says so.',
  'If you are unsure: stop, sit down, think, look, plan. Being lost at dusk is a reason to stay ' +
    'put.',
  'Carry a paper map and a compass, and tell someone. This is no substitute for instruction by a ' +
    'qualified person.',
  'Local rules and the local rescue service come first.',
] as const;
