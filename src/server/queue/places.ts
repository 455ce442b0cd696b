/** So many at a time and no more: who finds no place comes back, as a tablet does by itself. */
export class Places {
  private taken = 0

  constructor(private readonly most: number) {}

  /** Takes a place, and gives what leaves it; nothing where none is free. */
  take(): (() => void) | undefined {
    if (this.taken >= this.most) return undefined
    this.taken += 1
    let isLeft = false
    return () => {
      if (!isLeft) this.taken -= 1
      isLeft = true
    }
  }
}
