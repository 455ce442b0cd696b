/** A plate as it stands in the name of a file: small letters and digits, all else a dash. */
export const plateInFileName = (plate: string): string => plate.toLowerCase().replace(/[^a-z0-9]+/g, '-')
