import sharp from 'sharp'
import { expect, test } from 'vitest'
import { drawnAnew } from './logo'

const picture = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 4, background: '#2f6242' } })

test('a logo is brought to the size it is printed at, in its own proportions', async () => {
  const sent = (await picture(1200, 300).png().toBuffer()).toString('base64')
  const logo = await drawnAnew(sent)
  expect(logo).toMatchObject({ ok: true, value: { width: 600, height: 150 } })
  const small = await drawnAnew((await picture(40, 20).png().toBuffer()).toString('base64'))
  expect(small).toMatchObject({ ok: true, value: { width: 40, height: 20 } })
})

test('what is no picture, is cut off, or is a trap is refused', async () => {
  const whole = await picture(100, 100).png().toBuffer()
  const cut = whole.subarray(0, whole.length - 40)
  const drawing = Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>')
  const huge = await picture(3000, 3000).png().toBuffer()
  for (const bytes of [Buffer.from('hello'), Buffer.alloc(0), cut, drawing, huge])
    expect(await drawnAnew(bytes.toString('base64'))).toEqual({ ok: false, error: 'no-picture' })
})
