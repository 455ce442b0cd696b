/** What somebody hears whose logo cannot be read, in the browser or by the shop. */
export const NO_PICTURE = 'This is no picture we can read. Choose a PNG, JPEG, WebP or SVG file.'
