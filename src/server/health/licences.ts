import { readFileSync } from 'node:fs'
import path from 'node:path'
import { z } from 'zod'

/** The packages the shop runs with and under which licence each may be used, as the locked list of them says. */

/** Without a licence where the list names none: then it lies in the package's own folder. */
export type Licence = { name: string; version: string; licence?: string }

const lockSchema = z.object({
  packages: z.record(
    z.string(),
    z.object({ version: z.string().optional(), license: z.string().optional(), dev: z.boolean().optional() }),
  ),
})

const FOLDER = 'node_modules/'

export function licencesIn(lock: string): Licence[] {
  const { packages } = lockSchema.parse(JSON.parse(lock))
  const listed = Object.entries(packages).flatMap(([place, { version, license, dev }]) =>
    place === '' || dev || !version
      ? []
      : [
          {
            name: place.slice(place.lastIndexOf(FOLDER) + FOLDER.length),
            version,
            ...(license ? { licence: license } : {}),
          },
        ],
  )
  const once = new Map(listed.map((each) => [`${each.name} ${each.version}`, each]))
  return [...once.values()].sort((one, other) => (one.name < other.name ? -1 : 1))
}

export const ownLicences = (): Licence[] =>
  licencesIn(readFileSync(path.join(/* turbopackIgnore: true */ process.cwd(), 'package-lock.json'), 'utf8'))
