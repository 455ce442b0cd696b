import type { TypedLooks } from '@/core/aftercare/visit-told'
import type { Answer } from '@/core/answer'

/** Keeps what was seen at a car on the tablet until the shop has it. A look that is sent twice is one look: the later stands. */

export type Seen = Pick<TypedLooks, 'by' | 'cleaned'> & { look: TypedLooks['looks'][number] }

/** A look, or that the look at a part was taken back. */
export type Noted = Seen | 'taken-back'

export type LooksState = {
  /** By part: what was noted since this page was opened, and what waits from before. */
  noted: Readonly<Record<string, Noted>>
  /** Parts whose look the shop does not have yet. */
  waiting: readonly string[]
  /** Why the last look was not taken. */
  refusal?: string
  /** Whether the shop was last heard. */
  reached: boolean
}

export type Around = {
  storage: Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>
  /** Throws where the shop is not reached. */
  send: (typed: TypedLooks) => Promise<Answer<null>>
  takeBack: (unit: string) => Promise<Answer<null>>
  later: (run: () => void, ms: number) => void
}

type Waiting = [unit: string, noted: Noted]

const RETRY_MS = 4_000

export class LookQueue {
  private state: LooksState
  private flying = false
  private readonly key: string
  private readonly listeners = new Set<() => void>()

  constructor(
    jobId: string,
    private readonly around: Around,
  ) {
    this.key = `fern-yard.looks.${jobId}`
    const noted = this.restored()
    this.state = { noted, waiting: Object.keys(noted), reached: true }
  }

  subscribe = (listener: () => void) => {
    this.listeners.add(listener)
    return () => {
      this.listeners.delete(listener)
    }
  }

  getState = () => this.state

  /** Notes looks at once, and sends them as soon as that can be. Without a name nothing is noted. */
  add(looks: readonly Seen[]): void {
    if (looks.some(({ by }) => !by)) {
      this.set({ refusal: 'Say who looks.' })
      return
    }
    this.note(Object.fromEntries(looks.map((each) => [each.look.unit, each])))
  }

  /** Takes the look at a part back, whether the shop has it already or not. */
  takeBack(unit: string): void {
    this.note({ [unit]: 'taken-back' })
  }

  private note(fresh: Readonly<Record<string, Noted>>): void {
    const { refusal: _, ...state } = this.state
    this.state = state
    this.set({
      noted: { ...state.noted, ...fresh },
      waiting: [...new Set([...state.waiting, ...Object.keys(fresh)])],
    })
    void this.flush()
  }

  /** Sends what waits, looks of one pair of eyes together; what the shop refuses is not shown any more. */
  async flush(): Promise<void> {
    if (this.flying) return
    this.flying = true
    try {
      for (let batch = this.next(); batch.length > 0; batch = this.next())
        this.answered(batch, await this.tell(batch))
    } catch {
      this.set({ reached: false })
      this.around.later(() => void this.flush(), RETRY_MS)
    } finally {
      this.flying = false
    }
  }

  private tell(batch: readonly Waiting[]): Promise<Answer<null>> {
    const looks = batch.flatMap(([, noted]) => (noted === 'taken-back' ? [] : [noted]))
    const [first] = looks
    return first
      ? this.around.send({ by: first.by, cleaned: first.cleaned, looks: looks.map(({ look }) => look) })
      : this.around.takeBack(batch[0]![0])
  }

  /** What goes together: looks under one name, or one that is taken back. */
  private next(): Waiting[] {
    const waiting = this.waiting()
    const [first] = waiting
    if (!first) return []
    const [, noted] = first
    if (noted === 'taken-back') return [first]
    return waiting.filter(
      ([, other]) => other !== 'taken-back' && other.by === noted.by && other.cleaned === noted.cleaned,
    )
  }

  private waiting(): Waiting[] {
    return this.state.waiting.map((unit) => [unit, this.state.noted[unit]!])
  }

  private answered(batch: readonly Waiting[], answer: Answer<null>): void {
    const { noted, waiting } = this.state
    // What was touched again meanwhile is another look, and waits on.
    const told = new Set(batch.filter(([unit, sent]) => noted[unit] === sent).map(([unit]) => unit))
    const rest = waiting.filter((unit) => !told.has(unit))
    if (answer.ok) this.set({ waiting: rest, reached: true })
    else {
      const kept = Object.fromEntries(Object.entries(noted).filter(([unit]) => !told.has(unit)))
      this.set({ noted: kept, waiting: rest, refusal: answer.message, reached: true })
    }
  }

  private set(change: Partial<LooksState>): void {
    this.state = { ...this.state, ...change }
    const waiting = this.waiting()
    try {
      if (waiting.length > 0) this.around.storage.setItem(this.key, JSON.stringify(waiting))
      else this.around.storage.removeItem(this.key)
    } catch {
      // A tablet that can store nothing still has it on the page.
    }
    for (const listener of this.listeners) listener()
  }

  private restored(): Record<string, Noted> {
    try {
      return Object.fromEntries(JSON.parse(this.around.storage.getItem(this.key) ?? '[]') as Waiting[])
    } catch {
      return {}
    }
  }
}
