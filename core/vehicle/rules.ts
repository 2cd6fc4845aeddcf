/** What may never be, with the reason. Plans, walks and content keep them; the judge of plans has its own telling. */
export const RULES = [
  {
    id: 'brake-set-on-leaving',
    words:
      'Nobody leaves the seat with the parking brake released, unless chocks are in and the very next check at the wheel wants it released. It is released for one block and set again at once.',
    because: 'A vehicle that rolls with nobody in it is stopped by what stands in front of it.',
  },
  {
    id: 'chocks-with-brake-set',
    words: 'Chocks are put in and taken away only with the parking brake set.',
    because: 'Whoever bends down at the wheel is in its way.',
  },
  {
    id: 'secured-to-reach',
    words:
      'Hands in, under or between: engine off, key in the pocket, brake set, chocks in, what turns stands still.',
    because: 'Somebody else can start it, and a fan or a shaft can start by itself.',
  },
  {
    id: 'stowed-to-roll',
    words:
      'Nothing rolls or pulls against a brake with something out, open, raised or lying before a wheel, nor before what decides that it can stop has been tried.',
    because: 'An outrigger, a platform or a raised body meets a person, a wall or a wire.',
  },
  {
    id: 'power-to-prove',
    words:
      'A movement is tried with the power that moves it. An interlock is tried while the thing would move, one input taken away.',
    because: 'On a dead machine every safety passes.',
  },
  {
    id: 'propped-to-be-beneath',
    words:
      'Nobody is beneath a body, boom, cab or platform that is raised and not propped or locked.',
    because: 'A hose that bursts lets it down in a second.',
  },
  {
    id: 'empty-to-cycle',
    words:
      'What is cycled as empty has nothing in or on it, and is not done while it carries another unit.',
    because: 'A load shifts, and the body that it lifts tips the truck.',
  },
  {
    id: 'air-to-test',
    words:
      'A test that wants air has it from an engine that ran; what a test spends is made again first. No air is gained with the engine off.',
    because: 'A leak test on empty tanks finds no leak.',
  },
  {
    id: 'stowed-seen-first',
    words:
      'Whether something is stowed, latched or pinned is looked at before the cycle that undoes it, and again after it.',
    because: 'Afterwards nobody can tell how it stood on the road.',
  },
  {
    id: 'failed-part-stays-still',
    words:
      'A fault that stops, of a part that carries, moves or guards, leaves the movement of that part on the list of what is not made.',
    because: 'A pin that is half out comes out when it is lifted.',
  },
  {
    id: 'named-end',
    words:
      'A walk ends ready to leave, or parked and secured; what is out is brought in, in its time.',
    because: 'The next one to come believes that it stands as it always does.',
  },
  {
    id: 'helper-clear',
    words: 'A helper stands outside of the clear zone of what moves, in sight of whoever moves it.',
    because: 'Nobody at the levers sees the far side.',
  },
  {
    id: 'cautions-kept',
    words:
      'A caution that states a condition is the rule: the same words stand on the screen, in the plan and in the check.',
    because: 'A warning that the plan itself breaks is read once and never again.',
  },
] as const;

export type RuleId = (typeof RULES)[number]['id'];
