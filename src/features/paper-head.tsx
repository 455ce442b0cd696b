import { Image, Text } from '@react-pdf/renderer'
import { styles } from '@/ui/pdf-kit'
import { type Letterhead, logoSrc } from './letterhead'

/** pt; as high as a line of the title and a half. */
const LOGO = { height: 32, maxWidth: 200 }

/** The head of a paper as PDF. */
export function PaperHead({ shop: { line, logo } }: { shop: Letterhead }) {
  const width = logo && Math.min(LOGO.maxWidth, (LOGO.height * logo.width) / logo.height)
  return (
    <>
      {logo && width && (
        <Image
          src={logoSrc(logo)}
          style={{ width, height: (width * logo.height) / logo.width, marginBottom: 5 }}
        />
      )}
      <Text style={styles.soft}>{line}</Text>
    </>
  )
}
