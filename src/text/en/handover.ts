import type { HandoverWords } from '../handover'

export const handoverInEnglish: HandoverWords = {
  headings: {
    handover: 'Handover',
    result: 'Result',
    remains: 'What remains',
    panels: 'Before and after, panel by panel',
    beside: 'Also done',
    coatings: 'Coatings applied',
    inspection: 'Final inspection',
    weeksAhead: 'The weeks ahead',
    payment: 'Payment',
  },
  columns: {
    name: 'Panel',
    process: 'Work',
    film: (unit) => `Paint depth, ${unit}`,
    taken: (unit) => `Removed, ${unit}`,
    gloss: 'Gloss, GU',
    seen: 'Final inspection',
  },
  shortJob: { visit: 'Care visit', repair: 'Coating repair' },
  title: (packageName, job, day) => `${packageName}, job ${job}, ${day}`,
  noPolishing: 'no polishing',
  planned: (process) => `planned: ${process}`,
  change: (before, after) => `${before} to ${after}`,
  noLoss: 'none measurable',
  notFinished: 'The work is not finished yet: this sheet shows how far it is.',
  notMeasured: 'not measured',
  passed: 'passed',
  cleared: (percent) => `${percent} of the marks removed`,
  expected: ({ before, after, percent }) =>
    `Paint condition before: ${before}. Expected after the work: ${after}, with about ${percent} of the marks removed.`,
  reached: (percent) => `Under the inspection lamp about ${percent} of them are gone.`,
  short: (panels) => `Worked as agreed, but not everything came out: ${panels}.`,
  layer: ({ number, product, lot, moment, by, air, humidity, panel }) =>
    `${number}. ${product}, lot ${lot}, ${moment}, by ${by}; air ${air}, ${humidity}, panel ${panel}`,
  part: ({ at, of }) => `part ${at} of ${of}`,
  again: (place) => `${place} again`,
  highSpot: {
    're-wet': (panel) => `${panel}: a high spot of the coating was levelled.`,
    polished: (panel) => `${panel}: a high spot of the coating was polished off and recoated.`,
  },
  inspected: (people, isFresh) =>
    `Checked panel by panel by ${people}, ${isFresh ? 'who did not work on this paint' : 'with a night between the work and this look'}: no faults found.`,
  reworked: (places) =>
    places === 1 ? 'One area was reworked first.' : `${places} areas were reworked first.`,
  neverInspected: 'No final inspection was written down.',
  notInspected: 'Not finished yet.',
  agreed: (amount, tax) => `Total: ${amount}${tax ? `, including ${tax}` : ''}.`,
  paid: (amount, way, day) => `Paid ${amount} by ${way}, ${day}`,
  way: { card: 'card', cash: 'cash', transfer: 'bank transfer' },
  due: (amount) => `Balance due: ${amount}.`,
  overpaid: (amount) => `Overpaid by ${amount}. We will refund it.`,
  paidInFull: 'Paid in full.',
  wheels:
    'The wheels were removed. Their nuts were tightened to the manufacturer’s torque; please have them re-checked after the first drive.',
  tightened: (torque, wrench) =>
    `The wheels were removed. Their nuts were tightened to ${torque} (torque wrench ${wrench}); please have them re-checked after the first 50 to 100 km.`,
  letGo: (name, until) =>
    `Collected before the coating may get wet (${until}), as ${name} wished and signed. Water spots that come of it are not ours to put right.`,
  dataSheets: 'Where product data sheets or local rules say otherwise, they come first.',
  received: (name) => `Received by ${name} (signature and date)`,
}
