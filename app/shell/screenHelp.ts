import type { StudioWayId, WayId } from './places'
import { type ScreenHelp, STUDIO_HELP } from './studioHelp'

/** Signs and ways of every screen. A screen without a row does not compile. */
export const SCREEN_HELP: Readonly<Record<WayId | StudioWayId, ScreenHelp>> = {
  split: {
    signs: [
      ['full peg', 'a direct set; heads tell the muscles apart, also without colour'],
      ['outlined peg', 'an indirect set, counted in part'],
      ['thread with strokes', 'the muscle is not recovered when it is trained again'],
      ['peg in the channel', 'sets per 7 days between floor, target and ceiling'],
      ['lock', 'held fixed, or a sore joint that may bear no more'],
    ],
    ways: [
      'Carry sets to another day: choose the cell, hold Shift, press an arrow, Enter puts them down.',
      'Settle a finding: N walks them, Enter makes the fix that is shown in blue.',
      'Fill a rotation: P proposes, O has templates by fit, I reads notes or a table.',
    ],
    guide: 'split',
  },
  session: {
    signs: [
      ['plank', 'an exercise or a pair, as long as it takes'],
      ['hatched', 'warm-up'],
      ['upright line', 'the limit of the day’s minutes'],
    ],
    ways: [
      'Type sets: 4 x 8-12, rir 2. Other spellings are read as well: 3x12 20kg rpe8.',
      'Pair two exercises: choose one, S does it together with the next.',
      'Only so many minutes: L, type the minutes, keep it for one date or for good.',
    ],
    guide: 'session',
  },
  block: {
    signs: [
      ['as sent', 'the client has this rotation; later edits do not change it by themselves'],
      ['deload', 'an easier rotation'],
      ['blue words', 'an exception in this rotation'],
    ],
    ways: [
      'A set more from here on: choose the rotation and the muscle, then H.',
      'Send: Shift Enter. Without a link you get one with its code at once.',
      'Take a sending back: Z, until the client has opened it.',
    ],
    guide: 'block',
  },
  proposals: {
    signs: [
      ['proven', 'no better way exists under the limits'],
      ['held back', 'left out because a joint is sore or a note warns'],
      ['blue', 'differs from the plan as it stands'],
    ],
    ways: [
      'Use one: its letter. Try it on the board first: Space.',
      'See why no more is possible: open “Why not more” under a column.',
      'Compare other terms: type “four days, 45 minutes, no arm day”.',
    ],
    guide: 'proposals',
  },
  season: {
    signs: [
      ['filled plank', 'a block that is behind; the keel under one runs to today'],
      ['dashed', 'ahead: can be changed as you like'],
      ['red', 'a seam to look at: sets, joints, readiness or exercises jump'],
    ],
    ways: [
      'Open a block: choose it, then Enter. Every page about the client shows it until you go back.',
      'Put the next block behind: B on the last one. The running one goes on to its end.',
      'Look at a seam: choose the block after it. ⇧← and ⇧→ move it, 1 softens a jump, C lays the two side by side.',
    ],
    guide: 'block',
  },
  log: {
    signs: [
      ['grey figure', 'what was asked; Enter takes it as done'],
      ['to look at', 'two phones or a late entry disagree: take one'],
      ['was', 'what stood there before, and who said it'],
    ],
    ways: [
      'Log from paper: Enter goes from set to set, “All as planned” fills an exercise.',
      'A set that went on: type 6@20, drop 5@16.',
      'Give the client the sheet: K makes link and code.',
    ],
    guide: 'training',
  },
  review: {
    signs: [
      ['lying peg', 'missed'],
      ['6 of about 16 sessions', 'too early for a verdict'],
      ['expected', 'what an earlier change promised, and what came'],
    ],
    ways: [
      'Settle a missed session: 1 to 4 chooses one of the ways.',
      'Take a change: Enter; only for this rotation: O; refuse: Delete.',
      'Send what changed: S.',
    ],
    guide: 'review',
  },
  trends: {
    signs: [
      ['band', 'the 80 % interval of the trend'],
      ['rising, falling', 'said only where it is wrong in 5 of 100 at most'],
      ['new line', 'the set-up changed: grip, bench, side'],
    ],
    ways: [
      'Look at one exercise: choose it in the list.',
      'Read the figures: every chart has its table and a file.',
      'Open the story of an exercise: A.',
    ],
    guide: 'trends',
  },
  rehearsal: {
    signs: [
      ['spread', 'the middle of all runs, and one in ten to either side'],
      ['against doing nothing', 'what the rules bring beside leaving the plan alone'],
      ['Simulated', 'not the client: a made-up body with the client’s plan'],
    ],
    ways: [
      'Run it: R. More runs make the spread steadier.',
      'Make a practice client to try sheet and review without anybody’s data.',
      'Change what is assumed at the top, and run again.',
    ],
    guide: 'rehearsal',
  },
  report: {
    signs: [
      ['planned beside done', 'sets per 7 days of the whole block'],
      ['closing notes', 'in sight when the next block begins'],
      ['dash', 'too little was logged to say'],
    ],
    ways: [
      'Print it or save it as PDF: Print.',
      'Write what you take into the next block at the foot.',
      'Put the next block behind this one: “The next block”; the running one goes on.',
    ],
    guide: 'block report',
  },
  profile: {
    signs: [
      ['screening', 'a yes holds arm work back until a professional has cleared it'],
      ['usual value', 'grey: follows from training age and method'],
      ['sensitive', 'lower ceilings for this joint'],
    ],
    ways: [
      'Same minutes for all days: type them over the days, “Set”.',
      'Nothing to report: “No to all”.',
      'Take a client in from a file: New client, “from a file”.',
    ],
    guide: 'intake',
  },
  targets: {
    signs: [
      ['grey figure', 'the usual one; what you type replaces it'],
      ['peg', 'what the rotation gives now'],
      ['comes from', 'why the usual figure is what it is'],
    ],
    ways: [
      'Back to the usual figure: clear the field.',
      'Bring a muscle up: set its priority, the bands follow.',
      'Undo a save: Z, from wherever you are.',
    ],
    guide: 'targets',
  },
  history: {
    signs: [
      ['part done', 'begun and not finished'],
      ['cleared', 'a professional has cleared the joint; its ceiling grows back by the week'],
      ['on course', 'the whole 80 % interval of a goal’s course reaches it'],
    ],
    ways: [
      'Write a note: it is yours alone, and / finds it by its words.',
      'Set a goal: a measure, a figure, a day.',
      'Record a clearance when a professional has looked at a joint.',
    ],
    guide: 'history',
  },
  ...STUDIO_HELP,
}
