import { runYard } from './run'

/** The core from the command line. */
const { status, stdout, stderr } = runYard(process.argv.slice(2))
process.stdout.write(stdout)
process.stderr.write(stderr)
process.exitCode = status
