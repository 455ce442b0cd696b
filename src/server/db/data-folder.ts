import { mkdirSync } from 'node:fs'
import path from 'node:path'

/** The folder of database and files: `FERN_YARD_DATA`, or `data/` in the project. Made when it is missing. */
export function dataFolder(): string {
  const folder = path.resolve(/* turbopackIgnore: true */ process.env.FERN_YARD_DATA ?? 'data')
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  return folder
}

export function databaseFile(): string {
  return path.join(dataFolder(), 'fern-yard.db')
}
