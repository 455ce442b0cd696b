/** A command of the command line: what it prints as JSON, and the code it leaves with. */
export type Command = { usage: string; run: (args: string[]) => Output }
/** One answer, or one a line. */
export type Output = ({ json: unknown } | { lines: readonly unknown[] }) & {
  exitCode: number
  stderr?: string
}
