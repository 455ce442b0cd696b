import type { Logo, Setup } from '@/core/shop'

/** The head of a paper: whose it is, and how to reach them. */
export type Letterhead = { name: string; line: string; logo?: Logo }

/** Of the shop as it is set up; what is not filled in is not there. */
export function letterheadOf({ name, address, contact, logo }: Setup): Letterhead {
  const line = [name, address, contact.phone, contact.email, contact.web].filter(Boolean).join(', ')
  return { name, line, ...(logo ? { logo } : {}) }
}

export const logoSrc = ({ png }: Logo) => `data:image/png;base64,${png}`

/** On the screen and where it is printed from there. */
export function LetterheadLine({ shop: { name, line, logo } }: { shop: Letterhead }) {
  return (
    <>
      {logo && (
        // biome-ignore lint/performance/noImgElement: a picture of a few kilobytes that comes with the page.
        <img
          src={logoSrc(logo)}
          width={logo.width}
          height={logo.height}
          alt={name}
          className="mb-2 h-12 w-auto"
        />
      )}
      <p className="eyebrow">{line}</p>
    </>
  )
}
