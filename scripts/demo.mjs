// From a fresh clone to the demo shop in the browser. A second run does only what is left to do.
import { address, bin, build, install, run, say, serve } from './steps.mjs'

install()
build()
// What is written from here on is the shop's, and nobody else's on the machine.
process.umask(0o077)
say('loading the demo shop …')
run(bin('tsx'), ['demo/load.ts'])
// The demo’s owners are on this machine; a real shop says where theirs reach it.
process.env.FERN_YARD_PUBLIC_URL ??= `http://127.0.0.1:${address().port}`
serve()
