/** A page of the shop, and no other address, whatever a link to the door says. */
export function ownPage(to: string | undefined): string {
  return to && /^\/(?![/\\])/.test(to) && !to.startsWith('/sign-in') ? to : '/'
}

/** Loads a page anew: nothing of who was signed in before stays in the browser. */
export function goTo(to: string): void {
  window.location.assign(ownPage(to))
}
