/** How the commands about the folder of a shop are called. */
export const SHOP_USAGE = [
  'backup [--data FOLDER] [--into FOLDER] [--passphrase-file FILE]',
  'restore FILE [--data FOLDER] [--passphrase-file FILE] [--rehearse]',
  'journal [--data FOLDER]',
  'owner NAME --passphrase-file FILE [--data FOLDER]',
]

export const SHOP_COMMANDS = ['backup', 'restore', 'journal', 'owner'] as const
export type ShopCommand = (typeof SHOP_COMMANDS)[number]

export const isShopCommand = (name: string | undefined): name is ShopCommand =>
  SHOP_COMMANDS.some((each) => each === name)
