import { runYard } from './run'
import { isShopCommand } from './shop-usage'

/** The core, and the folder of a shop, from the command line. The core needs no database: it is loaded for a shop's folder alone. */
const [name, ...rest] = process.argv.slice(2)
const { status, stdout, stderr } = isShopCommand(name)
  ? await (await import('./shop-commands')).runShopCommand(name, rest)
  : runYard(process.argv.slice(2))
process.stdout.write(stdout)
process.stderr.write(stderr)
process.exitCode = status
