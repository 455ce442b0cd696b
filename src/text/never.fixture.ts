/** Words nobody should read any more, of the shop’s own glossary (docs/words.md). */
export const NEVER = new RegExp(
  [
    /\blaid\b|\blay(s|ing)?\b|\banew\b|\bloft\b|on the slip\b|as it left the works|gives way|the air says|reckoned|\bfetched\b/,
    /goes? home|gone home|no longer here|\bnew coat\b|\bcoat(ed)? again\b|\bhas gone\b|likely gone|iron and tar off/,
    /\bthe look\b|\blooks? waits?\b|(was|were|not|of \d+) looked at|who looks|to be seen|\bfilm (readings|before|after)\b/,
    /does the film say|goes out by itself|taken out\b|all the same\b|past its day|leave it$|last look|plan anew/,
  ]
    .map(({ source }) => source)
    .join('|'),
  'i',
)
