// Loaded into the app the stories try: has it leave one shop's data folder for another's, so that it need not start anew for each.
const { isMainThread } = require('node:worker_threads')

/** What the app keeps for as long as it runs, see where each name is written in `src`. */
const THREADS = ['fernYardDesk', 'fernYardPress', 'fernYardPlanner']
const KEPT = [...THREADS, 'fernYardDb', 'fernYardGateway']

async function move(data) {
  const [desk, press, planner, db] = KEPT.map((name) => globalThis[name])
  for (const name of KEPT) delete globalThis[name]
  process.env.FERN_YARD_DATA = data
  await Promise.all([desk, press, planner?.thread].map((thread) => thread?.helper?.end()))
  const left = await Promise.resolve(db).catch(() => undefined)
  await Promise.all([left?.writer.destroy(), left?.reader.destroy()])
}

if (isMainThread && process.send) {
  process.on('message', async ({ data }) => {
    await move(data)
    process.send('moved')
  })
  process.on('disconnect', () => process.exit())
}
