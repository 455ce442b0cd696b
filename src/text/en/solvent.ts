export const STRONG_SOLVENT =
  'Its solvent is strong and dissolves single-stage paint: use a mild one, or try it where nobody looks.'
