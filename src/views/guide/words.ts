/** The words of the guide. The pictures are paths in a box of 120 by 80. */
export const WORDS = {
  checks: 'Before you leave',
  open: (count: number) => (count === 1 ? '1 check left.' : `${count} checks left.`),
  allDone: 'All checked.',
  method: 'The method, step by step',
  practise: 'Practise these skills',
  orient: 'Orient the map',
  care: 'Care of the compass',
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
      'Lay the compass down. Bring each thing near and take it away again: knife, phone, watch, ' +
      'buckle, keys, radio, pack frame. What moves the needle stays at arm’s length while you ' +
      'read. Wire fences and metal posts, platforms, cars and rails move it too: one post turned ' +
      'it by 30°. Step away, and read again.',
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
    key: 'someone-knows',
    name: 'Someone knows.',
    how: 'Where you are going, when you will be back, whom to call.',
  },
  { key: 'paper', name: 'Paper map and a pencil.', how: 'For when the screen dies.' },
] as const;

export const METHOD = [
  {
    name: 'Orient the map',
    link: 'orient',
    words:
      'With a map, do this first: turn it until it lies as the country lies, by the needle and ' +
      'the declination. Then look: is what you see where the map has it?',
    picture: 'M24 22H96V76H24ZM24 40H96M24 58H96M48 22V76M72 22V76M60 18V4M54 10L60 3L66 10',
  },
  {
    name: 'Take a bearing',
    words:
      'Hold the compass level in front of you, its arrow along your way. Turn the dial until N ' +
      'lies under the marked end of the needle. Read the bearing.',
    picture:
      'M60 70A30 30 0 1 1 60.1 70ZM60 16V4M54 10L60 2L66 10M60 26L66 40L60 54L54 40ZM54 40H66',
  },
  {
    name: 'Choose a mark and walk',
    words:
      'Choose something on that line, and walk to it without looking at the compass. Count every ' +
      'second step. One school takes a mark nearer than the goal and never on the horizon: to a ' +
      'far one you walk an arc without noticing. The other takes the farthest that stays in ' +
      'sight. Both hold: look at the compass again at each mark.',
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
    name: 'Mark the station, and stay in sight of it',
    words:
      'Hang tape or set three stones where the leg ends, at the height of your eyes, and say so ' +
      'in the log. Explore only as far as you still see the mark. Out of sight of it, log a leg. ' +
      'Take your tape with you on the way back.',
    picture: 'M60 74V20M60 24H88L80 32L88 40H60M40 74H80M16 74q10 -14 20 0M92 74q8 -12 16 0',
  },
  {
    name: 'Box an obstacle',
    words:
      'Turn 90° and count out; turn along your bearing again and count; turn back and count as ' +
      'many. Only the part along counts.',
    picture: 'M10 50H38V20H82V50H112M48 34H72V66H48Z',
  },
  {
    name: 'A fence, a gate, a ditch',
    words:
      'Stop counting at the fence and keep a mark beyond it in sight. Go to the gate, cross, and ' +
      'come back to your line at the mark; without a mark, box it: count along the fence to the ' +
      'gate and as many back. A ditch that you jump is counted by its width. A wire fence moves ' +
      'the needle: read some metres away. Close gates.',
    picture:
      'M8 30H48M72 30H112M8 46H48M72 46H112M20 22V56M44 22V56M76 22V56M100 22V56' +
      'M60 72V8M54 15L60 7L66 15',
  },
  {
    name: 'The mark is lost',
    words:
      'Stop where you are. Keep the count. Look back and check the back bearing of what you ' +
      'left; then sight along your bearing again, choose the next mark, and go on.',
    picture:
      'M8 70H112M20 70V58M92 20l16 16M108 20L92 36M28 62H60M66 62m-5 0' +
      'a5 5 0 1 0 10 0a5 5 0 1 0-10 0',
  },
  {
    name: 'You no longer believe the needle',
    words:
      'After some 600 to 800 m most people do, and turn. Stop; don’t run. Iron away, level, read ' +
      'again, and have a second person read. What should you have passed, and when? Look how far ' +
      'off you may be. Feeling goes in circles: trust the figures, unless the needle is wrong ' +
      'for a cause that you can name.',
    picture:
      'M60 8A32 32 0 1 1 59.9 8ZM60 18L66 40L60 62L54 40ZM54 40H66' +
      'M96 16q10 -8 12 4q0 8 -8 10v6M100 44v2',
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
  {
    name: 'At the end of the day',
    words:
      'If you go on tomorrow, leave a pack or tape where you turned back, and log it as the mark ' +
      'of that station: tomorrow begins there.',
    picture: 'M40 70V40q0 -14 20 -14q20 0 20 14V70ZM48 26q0 -12 12 -12q12 0 12 12M48 50H72V62H48Z',
  },
] as const;

export const CARE = [
  'A bubble grows with cold and height. A small one that moves out of the way does no harm; one ' +
    'that touches the needle does.',
  'Grit under the dial makes it stick and wears its figures away: rinse it in clean water.',
  'Swing it level and let the needle settle before each reading. A needle that sticks or settles ' +
    'twice at different places is worn.',
  'Store it away from phones, loudspeakers, magnets and other compasses: they can reverse a ' +
    'needle for good. Check it against a known direction before each trip.',
  'Keep it out of the sun behind glass, and its plate away from insect repellent, which eats the ' +
    'print.',
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
