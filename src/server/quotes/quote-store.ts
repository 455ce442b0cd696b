import type { Knex } from 'knex'
import { z } from 'zod'
import type { JobId } from '@/core/ids'
import { choicesSchema, type Quote, type QuoteDecision, type QuoteText, quoteTextSchema } from '@/core/offer'
import { shownSchema } from '@/core/photo'
import { signatureSchema } from '@/core/survey'
import { instantOrThrow } from '@/core/time'
import type { QuotesRow } from '../db/tables'
import { readPlan, readSummary } from './agreement-store'

function toQuote(row: QuotesRow): Quote {
  return {
    jobId: row.job_id,
    version: row.version,
    packageKey: row.package_key,
    packageName: row.package_name,
    plan: readPlan(row.plan),
    summary: readSummary(row.summary),
    choices: choicesSchema.parse(JSON.parse(row.choices)),
    totalCents: row.total_cents,
    note: row.note,
    ...(row.could_collect_at ? { couldCollectAt: instantOrThrow(row.could_collect_at) } : {}),
    writtenAt: instantOrThrow(row.written_at),
    validUntil: instantOrThrow(row.valid_until),
    ...(row.told ? { told: quoteTextSchema.parse(JSON.parse(row.told)) } : {}),
    ...(row.changes_version === null
      ? {}
      : {
          change: {
            from: row.changes_version,
            found: row.found,
            photos: photosSchema.parse(JSON.parse(row.shown_photos)),
            marks: readMarks(row.shown_marks),
            otherwise: row.otherwise,
            callsOff: row.calls_off === 1,
          },
        }),
    ...(row.said && row.said_at
      ? {
          decision: {
            said: row.said,
            at: instantOrThrow(row.said_at),
            words: row.said_words,
            ...agreedBy(row),
          },
        }
      : {}),
  }
}

/** The marks a supplement told of, as they are kept. */
export const readMarks = (json: string): string[] => z.array(z.string()).parse(JSON.parse(json))

const photosSchema = z.array(
  z.object({
    hash: z.string(),
    place: z.string(),
    shows: shownSchema.exactOptional(),
    name: z.string().exactOptional(),
  }),
)

/** Who said yes to a change, and how. */
function agreedBy({ said_how: how, said_by: name, signature }: QuotesRow): Pick<QuoteDecision, 'agreedBy'> {
  if (how === 'telephone') return { agreedBy: { how, name } }
  if (how !== 'signed' || signature === null) return {}
  return { agreedBy: { how, name, signature: signatureSchema.parse(JSON.parse(signature)) } }
}

/** All versions, the first first. */
export async function listQuotes(db: Knex, jobId: JobId): Promise<Quote[]> {
  const rows: QuotesRow[] = await db('quotes').where({ job_id: jobId }).orderBy('version')
  return rows.map(toQuote)
}

/** Writes the next version, with the words that tell it, and gives its number. */
export async function writeQuote(
  db: Knex,
  quote: Omit<Quote, 'version' | 'decision' | 'told'>,
  tell: (version: number) => QuoteText,
): Promise<number> {
  return db.transaction(async (trx) => {
    const { newest } = (await trx('quotes')
      .where({ job_id: quote.jobId })
      .max({ newest: 'version' })
      .first()) as { newest: number | null }
    const version = (newest ?? 0) + 1
    await trx('quotes').insert({
      job_id: quote.jobId,
      version,
      package_key: quote.packageKey,
      package_name: quote.packageName,
      plan: JSON.stringify(quote.plan),
      summary: JSON.stringify(quote.summary),
      choices: JSON.stringify(quote.choices),
      total_cents: quote.totalCents,
      note: quote.note,
      could_collect_at: quote.couldCollectAt ?? null,
      written_at: quote.writtenAt,
      valid_until: quote.validUntil,
      told: JSON.stringify(tell(version)),
      ...(quote.change
        ? {
            changes_version: quote.change.from,
            found: quote.change.found,
            shown_photos: JSON.stringify(quote.change.photos),
            shown_marks: JSON.stringify(quote.change.marks),
            otherwise: quote.change.otherwise,
            calls_off: quote.change.callsOff ? 1 : 0,
          }
        : {}),
    })
    return version
  })
}

/** Writes down what the customer said. False where they had said something already. */
export async function decideQuote(
  db: Knex,
  jobId: JobId,
  version: number,
  { said, at, words, agreedBy: by }: QuoteDecision,
): Promise<boolean> {
  const changed = await db('quotes')
    .where({ job_id: jobId, version })
    .whereNull('said')
    .update({
      said,
      said_at: at,
      said_words: words,
      ...(by ? { said_how: by.how, said_by: by.name } : {}),
      ...(by?.how === 'signed' ? { signature: JSON.stringify(by.signature) } : {}),
    })
  return changed > 0
}
