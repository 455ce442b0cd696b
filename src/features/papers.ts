import { handoverPdf } from './handover/handover-pdf'
import { quotePdf } from './quote/quote-pdf'
import { historyPdf } from './vehicles/history-pdf'

/** The papers that are set as PDF, each from plain data; they are set in a thread of their own. */
export const PAPERS = { 'handover-pdf': handoverPdf, 'quote-pdf': quotePdf, 'history-pdf': historyPdf }
