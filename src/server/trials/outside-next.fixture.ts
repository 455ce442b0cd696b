/** What a process of the kill campaign has in place of Next and of the decoder of pictures: neither is killed, and both are slow to load. */
export const headers = async () => new Headers()
export const cookies = async () => new Map<string, string>()
export const revalidatePath = () => {}
export default function sharp(): never {
  throw new Error('no deed decodes a picture')
}
