// From a fresh clone to the demo shop in the browser. A second run does only what is left to do.
import { bin, build, install, run, say, serve } from './steps.mjs'

install()
build()
say('loading the demo shop …')
run(bin('tsx'), ['demo/load.ts'])
serve()
