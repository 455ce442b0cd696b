import { runYard } from './run'
import { isShopCommand, runShopCommand } from './shop-commands'

/** The core, and the folder of a shop, from the command line. */
const args = process.argv.slice(2)
const { status, stdout, stderr } = isShopCommand(args[0]) ? await runShopCommand(args) : runYard(args)
process.stdout.write(stdout)
process.stderr.write(stderr)
process.exitCode = status
