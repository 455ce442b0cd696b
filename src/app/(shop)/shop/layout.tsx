import type { ReactNode } from 'react'
import { SettingUpFrame } from '@/features/shop/setting-up'
import { database } from '@/server/db/connection'
import { loadShop } from '@/server/shop/shop-store'

export default async function ShopLayout({ children }: { children: ReactNode }) {
  const { settingUp } = (await loadShop(await database())).setup
  return <SettingUpFrame {...(settingUp ? { settingUp } : {})}>{children}</SettingUpFrame>
}
