/** Hatching says thin, repainted and unreadable without colour. */
export function Hatches() {
  return (
    <svg width="0" height="0" className="absolute" aria-hidden="true">
      <defs>
        <pattern
          id="mark-thin"
          width="9"
          height="9"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <path d="M0,0 V9" stroke="var(--c-copper)" strokeWidth="3" />
        </pattern>
        <pattern id="mark-repainted" width="8" height="8" patternUnits="userSpaceOnUse">
          <circle cx="2" cy="2" r="1.1" fill="#f7f6ec" />
        </pattern>
        <pattern
          id="mark-unreadable"
          width="7"
          height="7"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(-45)"
        >
          <path d="M0,0 V7" stroke="var(--c-lichen-deep)" strokeWidth="2" />
        </pattern>
        <pattern id="mark-noted" width="10" height="10" patternUnits="userSpaceOnUse">
          <circle cx="5" cy="5" r="2.2" fill="var(--c-copper)" />
        </pattern>
      </defs>
    </svg>
  )
}
