export { judgeCase } from './judge-case'
export { ledgerCase, ledgerSchema } from './ledger'
export { outlookCase, outlookSchema } from './outlook'
export { type Case, caseSchema } from './schema'
