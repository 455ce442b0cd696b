import { eventsBench } from './events'
import { frontierBench } from './frontier'
import { loadBench } from './load'
import { practiceBench } from './practice'
import { promisesBench } from './promises'
import { scheduleBench } from './schedule'
import { surveyBench } from './survey'
import { tapBench } from './tap'
import { vehicleBench } from './vehicle'
import { yearsBench } from './years'

/** `npm run bench` runs all, `npm run bench -- schedule` one. Times depend on the machine; ratios do not. */

const BENCHES: Record<string, () => void | Promise<void>> = {
  survey: surveyBench,
  frontier: frontierBench,
  practice: practiceBench,
  vehicle: vehicleBench,
  years: yearsBench,
  schedule: scheduleBench,
  events: eventsBench,
  promises: () => promisesBench(),
  load: loadBench,
  tap: tapBench,
}

const wanted = process.argv.slice(2)
const unknown = wanted.filter((name) => !(name in BENCHES))
if (unknown.length > 0) {
  console.error(`no benchmark “${unknown.join(', ')}”; there are ${Object.keys(BENCHES).join(', ')}`)
  process.exit(2)
}
for (const [name, bench] of Object.entries(BENCHES))
  if (wanted.length === 0 || wanted.includes(name)) await bench()
