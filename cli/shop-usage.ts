/** How the commands about the folder of a shop are called. */
export const SHOP_USAGE = [
  'backup [--data FOLDER] [--into FOLDER] [--passphrase-file FILE]',
  'restore FILE [--data FOLDER] [--passphrase-file FILE] [--rehearse]',
  'journal [--data FOLDER]',
]
