import type { Knex } from 'knex'
import sharp from 'sharp'
import type { JobId } from '@/core/ids'
import { emptyIntake, type Intake } from '@/core/intake/intake'
import type { Job } from '@/core/job'
import { marksOf, renderPanel } from '@/core/lamp'
import { type PracticePanel, practicePanel } from '@/core/practice'
import type { Setup } from '@/core/shop'
import { countedReadings, type Defect, emptyRecord, type Phase, removalsOfVisit } from '@/core/survey'
import { atLocal, dayIn, earlierOf, type Instant, plusDays, plusMinutes } from '@/core/time'
import { type Panel, panelsOf } from '@/core/vehicle'
import { CLEAN, type Contamination } from '@/core/wash'
import { cutPaint, inventPaint, type PaintTruth, SimulatedFilmGauge, seedOf } from '@/devices/film-gauge'
import { findJob, handOver, takeIn } from '@/server/floor/job-store'
import { keepGrade } from '@/server/learning/practice-store'
import { storePhoto } from '@/server/photos/photo-files'
import { addPhoto, writeMarks } from '@/server/photos/photo-store'
import { signOff } from '@/server/survey/sign-off-store'
import { loadSurvey, saveSurvey } from '@/server/survey/survey-store'
import { linesToSign } from '@/server/survey/to-sign'
import { saveWash } from '@/server/survey/wash-store'
import { roundOf } from './round'

/** What the demo shop remembers beside the cars it has in hand: an earlier visit, pictures, promises, a wash. */

const EARLIER_DAYS = 640

/** A pickup that was here before, with a correction in the ledger and a wing that was painted since. */
export const RETURNING: Partial<Intake> & Pick<Intake, 'customerName' | 'plate'> = {
  customerName: 'Peig Lanigan',
  phone: '0555 473',
  email: 'peig@inchmoyle.example',
  mayRemind: true,
  plate: 'IM 7341',
  vin: 'T9ZPKU4CXEF107341',
  make: 'Tarrow',
  model: 'Bollard',
  year: '2014',
  shape: 'pickup',
  colour: 'Kelp green',
  colourCode: 'K44',
  paintSystem: 'clear-over-base',
  hardness: 'medium',
  purpose: 'daily',
  storage: 'street',
  washing: 'brush',
  yearlyKm: '14000',
  salted: true,
  treatments: [{ kind: 'respray', what: 'left front wing, body shop on the pier', year: '2025' }],
  wishes: 'First proper polish of its life.',
  odometerKm: '118200',
}

/** What the correction of the earlier visit took, µm by panel. */
const EARLIER_CUT: Record<string, number> = {
  bonnet: 3.6,
  'front-door-right': 2.8,
  'front-door-left': 3.1,
  'rear-door-right': 2.6,
  'rear-door-left': 2.9,
  tailgate: 3.2,
  'bed-side-right': 2.4,
}
/** The wing that was resprayed after that visit. */
const RESPRAYED = 'front-wing-left'

/** The paint the gauge finds on it today, as it was before the wing was resprayed. */
function paintThen(panels: readonly Panel[], plate: string): PaintTruth {
  const { baseUm, panels: own } = inventPaint(panels, seedOf(plate))
  return { baseUm, panels: { ...own, [RESPRAYED]: baseUm } }
}

/** A visit of long ago, measured before and after, and written into the ledger when the car went home. */
export async function addReturning(db: Knex, setup: Setup, now: Instant): Promise<void> {
  const day = plusDays(dayIn(setup.region.timezone, now), -EARLIER_DAYS)
  const at = atLocal(setup.region.timezone, day, '08:00')
  const id = await takeIn(db, { ...emptyIntake(day), ...RETURNING }, at, at)
  const job = (await findJob(db, id))!
  const panels = panelsOf(job.vehicle.shape)
  const record = { ...emptyRecord(), inspected: panels.map(({ id }) => id) }
  const gauge = (paint: PaintTruth, hand: string) =>
    new SimulatedFilmGauge(paint, seedOf(job.vehicle.plate + hand), 0)
  const after = paintThen(panels, job.vehicle.plate)
  const uncut = Object.fromEntries(Object.entries(EARLIER_CUT).map(([panel, um]) => [panel, -um]))
  record.before.readings = await roundOf(gauge(cutPaint(after, panels, uncut), 'then'), panels)
  record.after.readings = await roundOf(gauge(after, 'and after'), panels)
  record.defects = Object.fromEntries(
    Object.keys(EARLIER_CUT).map((panel) => [
      panel,
      [{ kind: 'swirls', severity: 3, extentPercent: 70, catchesNail: false } satisfies Defect],
    ]),
  )
  await saveSurvey(db, id, 1, record, at)
  const home = plusMinutes(at, 3 * 1440)
  const removals = removalsOfVisit({
    beforeUm: countedReadings(record.before),
    afterUm: countedReadings(record.after),
    byProcessUm: EARLIER_CUT,
    day: dayIn(setup.region.timezone, home),
  })
  await handOver(db, job, removals, home)
}

const PICTURE = { width: 1200, height: 800 }

/** A picture of a panel under the inspection lamp, painted by the app's own model. */
async function pictureOf(panel: PracticePanel, light: { x: number; y: number }): Promise<Buffer> {
  const pixels = new Uint8ClampedArray(PICTURE.width * PICTURE.height * 4)
  renderPanel(marksOf(panel), light, PICTURE, pixels)
  return sharp(Buffer.from(pixels.buffer), { raw: { ...PICTURE, channels: 4 } })
    .jpeg({ quality: 88 })
    .toBuffer()
}

async function photograph(
  db: Knex,
  job: Job,
  place: string,
  phase: Phase,
  defects: Defect[],
  at: Instant,
  samePlaceAs?: string,
): Promise<string | undefined> {
  const seed = seedOf(job.vehicle.plate + place) % 1000
  const stored = await storePhoto(
    await pictureOf({ ...practicePanel(seed), seed, defects }, { x: 0.44, y: 0.4 }),
  )
  if (!stored.ok) return undefined
  const photo = await addPhoto(db, {
    jobId: job.id,
    place,
    phase,
    ...stored.value,
    takenAt: at,
    ...(samePlaceAs ? { samePlaceAs } : {}),
  })
  return photo.id
}

/** Photographs of a panel as it came in, and where the machine has been over it, as it is now. */
export async function photographPanels(
  db: Knex,
  job: Job,
  panels: readonly string[],
  polished: boolean,
  now: Instant,
): Promise<void> {
  const { defects } = await loadSurvey(db, job.id)
  for (const panel of panels) {
    const found = (defects[panel] ?? []).map(
      ({ kind, severity, extentPercent, catchesNail }): Defect => ({
        kind,
        severity,
        extentPercent,
        catchesNail,
      }),
    )
    const before = await photograph(db, job, panel, 'before', found, earlierOf(job.arriveAt, now))
    if (before && panel === panels[0])
      await writeMarks(db, before, 1, [
        { kind: 'circle', x: 0.44, y: 0.4, r: 0.16 },
        { kind: 'arrow', fromX: 0.78, fromY: 0.78, toX: 0.58, toY: 0.55 },
      ])
    if (before && polished)
      await photograph(
        db,
        job,
        panel,
        'after',
        found.filter(({ kind, catchesNail }) => catchesNail || kind === 'chips'),
        now,
        before,
      )
  }
}

const SALTED: Contamination = {
  touch: { upper: 1, sides: 2, lower: 3, tail: 2 },
  sight: { ...CLEAN.sight, iron: 2, tar: 1, mineral: 1 },
}

export async function addWash(db: Knex, jobId: JobId, setup: Setup): Promise<void> {
  const { drain, hose } = setup.wash
  await saveWash(db, jobId, 0, { contamination: SALTED, place: { airC: 4, drain, hose, indoors: true } })
}

/** A signature nobody has: two loops and a line. */
const SIGNATURE: [number, number][][] = [
  Array.from({ length: 60 }, (_, at): [number, number] => {
    const turn = (at / 59) * 6 * Math.PI
    return [0.14 + 0.0055 * at + 0.045 * Math.sin(turn), 0.15 - (0.07 - 0.0006 * at) * Math.cos(turn)].map(
      (share) => Math.round(share * 1000) / 1000,
    ) as [number, number]
  }),
  [
    [0.5, 0.19],
    [0.62, 0.16],
    [0.74, 0.18],
  ],
]

/** The customer was told what stays, and signed it. */
export async function addPromises(db: Knex, job: Job, setup: Setup, at: Instant): Promise<void> {
  const lines = await linesToSign(db, job, setup)
  await signOff(db, job.id, 0, {
    lines,
    signedBy: job.customer.name,
    signature: SIGNATURE,
    signedAt: at,
  })
}

/** What the colleagues made of the first practice panels: near, each with their own habit. */
export async function addPracticeGrades(db: Knex, setup: Setup, now: Instant): Promise<void> {
  for (const seed of [1, 2, 3])
    for (const [at, { id }] of setup.people.slice(0, 3).entries()) {
      const { finding, defects } = practicePanel(seed)
      const seen = at === 2 ? defects.slice(0, 1) : defects
      await keepGrade(db, {
        seed,
        person: id,
        grade: {
          finding: at === 1 && finding !== 'original' ? 'original' : (finding as 'original'),
          defects: seen.map((defect) => ({
            ...defect,
            severity: Math.min(3, defect.severity + (at === 1 ? 1 : 0)) as Defect['severity'],
          })),
        },
        gradedAt: now,
      })
    }
}
