export { CONSENT_CHANNELS, type Consent, type ConsentChannel, SAID_BY, type SaidBy } from './consent'
export {
  FIRST_RETENTION,
  keptUntil,
  PHOTO_CHOICES,
  type PhotoChoice,
  RETENTION_KINDS,
  RETENTION_MONTHS,
  type Retention,
  type RetentionKind,
} from './retention'
