/** The guided tests: what to take, what to do in order, and what for. */
export type TestKindHere = 'pattern' | 'catch' | 'fan' | 'cap' | 'comb';
export const TEST_STEPS: Record<TestKindHere, { title: string; why: string; steps: string[] }> = {
  pattern: {
    title: 'Pattern on paper',
    why: 'Shows in a second what the cap, tip and needle are like, before a car does.',
    steps: [
      'Masking paper on a wall, upright. The real mix in the gun: reducer shows another pattern.',
      'First shot aside, to purge the cleaner.',
      'At the distance you will spray at, gun square, one short full pull: a second, no more.',
      'Touch the drawing that looks like it.',
    ],
  },
  catch: {
    title: 'Catch test',
    why: 'Tips of one size differ by up to twice. This makes the paint’s flow your gun’s own.',
    steps: [
      'Breathing protection and extraction as for spraying: it is the same mist.',
      'Cup filled with the real mix, fan and needle as you use them, air at the gun set and flowing.',
      'Spray into a measuring cup or a weighed bag, trigger fully pulled, for half a minute by the clock here.',
      'Read what was caught.',
    ],
  },
  fan: {
    title: 'Fan width',
    why: 'The step between passes is a share of this. Measured, it is yours.',
    steps: [
      'Paper on a wall. Hold the gun at a distance you can measure: a stick of that length helps.',
      'Air set and flowing, fan as you use it. One short shot.',
      'Measure the wet length from end to end; leave out the last faint dots.',
    ],
  },
  cap: {
    title: 'Cap gauge',
    why: 'Where a limit at the cap is set, this is the figure it means. Needs a test cap with a gauge.',
    steps: [
      'The test cap of this very air cap, not of another.',
      'Cup off or empty, needle shut, fan as you use it.',
      'Trigger pulled to air: read the cap and the inlet together.',
    ],
  },
  comb: {
    title: 'Film comb',
    why: 'What lands wet is what runs, peels and pops. One reading knows the paint’s flow and what is lost to fog at once.',
    steps: [
      'A test panel, upright, the real mix, this set in the gun. Breathing protection and extraction as for spraying.',
      'Set air, needle and fan as you will spray, and keep one distance, one step and one pace.',
      'Lay one coat of four passes or more. At once, in the middle of it: the comb square on the film, straight in, straight out.',
      'The last tooth that is wet and the first that is dry: the film lies between them. Wipe the comb.',
    ],
  },
};
