export { type ChangedField, changedFields, FIELDS_MOST } from './changed'
