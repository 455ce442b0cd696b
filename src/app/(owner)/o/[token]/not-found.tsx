/** The same words for a link that never was, has run out or was taken back: it tells nobody which. */
export default function NoPage() {
  return (
    <div className="mx-auto max-w-xl p-16 text-center">
      <h1 className="text-3xl">This link no longer works</h1>
      <p className="mt-3">Ask the shop for a new one.</p>
    </div>
  )
}
