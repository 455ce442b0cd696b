/** The yard's sign: a fiddlehead and the name. */
export function Wordmark() {
  return (
    <span className="flex items-center gap-2 font-head text-xl font-bold tracking-tight">
      <svg viewBox="0 0 32 32" width="28" height="28" aria-hidden="true">
        <path
          d="M15,31 C15,22 6,20 7,11 C8,3 19,1 23,8 C26,14 20,20 15,17 C11,14 14,9 18,11"
          className="fill-none stroke-fern"
          strokeWidth="3.2"
          strokeLinecap="round"
        />
        <path
          d="M8,17 l-5,-2 M11,23 l-6,1 M24,14 l5,2 M23,6 l4,-4"
          className="stroke-fern"
          strokeWidth="2.4"
          strokeLinecap="round"
        />
      </svg>
      Fern Yard
    </span>
  )
}
