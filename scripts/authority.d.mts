import type { NetworkInterfaceInfo } from 'node:os'

export type ReachedAs = { names: readonly string[]; addresses: readonly string[] }
export function reachedAs(
  env?: Readonly<Record<string, string | undefined>>,
  interfaces?: NodeJS.Dict<NetworkInterfaceInfo[]>,
): ReachedAs
export function authorityFile(folder: string): string
export function certificateFor(
  folder: string,
  reached: ReachedAs,
  at?: Date,
): Promise<{ key: string; cert: string; isNewAuthority: boolean }>
