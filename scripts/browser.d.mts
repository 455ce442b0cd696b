export function browserPath(): string
export function ensureBrowser(): void
