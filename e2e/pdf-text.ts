import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'

/** The words of a PDF, page by page, as another program reads them. */
export async function pdfPages(bytes: Uint8Array): Promise<string[]> {
  const document = await getDocument({ data: bytes, useSystemFonts: true, verbosity: 0 }).promise
  const pages: string[] = []
  for (let number = 1; number <= document.numPages; number++) {
    const { items } = await (await document.getPage(number)).getTextContent()
    pages.push(
      items
        .map((item) => ('str' in item ? item.str : ''))
        .join(' ')
        .replace(/\s+/g, ' '),
    )
  }
  await document.destroy()
  return pages
}
