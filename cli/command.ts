/** A command of the command line: what it prints as JSON, and the code it leaves with. */
export type Command = { usage: string; run: (args: string[]) => Output }
export type Output = { json: unknown; exitCode: number; stderr?: string }
