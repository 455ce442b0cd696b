/** What Next tells of a request, where there is none: whose address the shop is asked under. */
export const headers = async () => new Headers({ host: 'shop.example' })
export const cookies = async () => new Map<string, string>()
