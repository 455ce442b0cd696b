/** The small joints of an English sentence. */

export const sentence = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

export const many = (plural: boolean, several: string, one: string) => (plural ? several : one)
