// Serves the shop with whatever is in its data folder.
import { build, install, serve } from './steps.mjs'

install()
build()
serve()
