export { judgeCase } from './judge-case'
export { ledgerCase, ledgerSchema } from './ledger'
export { type Case, caseSchema } from './schema'
