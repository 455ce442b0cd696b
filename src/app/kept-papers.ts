import { createHash } from 'node:crypto'
import { serialize } from 'node:v8'

/** Papers that were set lately: the same paper is set once, however many ask for it, and a crowd is told to come back. */

/** A handover sheet with its pictures is about a megabyte. */
const KEPT = 24
/** So many wait for the press; half a second each, nobody waits longer than a page may take. */
const WAITING_MOST = 24

export class PressBusy extends Error {}

type Paper = Uint8Array<ArrayBuffer>

export class KeptPapers {
  private readonly kept = new Map<string, Paper>()
  private readonly pressed = new Map<string, Promise<Paper>>()

  /** The paper that `press` makes of this, or made of the same before. Rejects with `PressBusy` where too many wait. */
  async of(name: string, paper: readonly unknown[], press: () => Promise<Paper>): Promise<Paper> {
    const key = createHash('sha256').update(name).update(serialize(paper)).digest('base64url')
    const known = this.kept.get(key) ?? this.pressed.get(key)
    if (known) return known
    if (this.pressed.size >= WAITING_MOST) throw new PressBusy()
    const pressing = press()
    this.pressed.set(key, pressing)
    try {
      const made = await pressing
      this.kept.set(key, made)
      if (this.kept.size > KEPT) this.kept.delete(this.kept.keys().next().value!)
      return made
    } finally {
      this.pressed.delete(key)
    }
  }
}
