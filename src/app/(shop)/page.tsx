import type { Knex } from 'knex'
import { requestFloor, requestRevision } from '@/app/request-floor'
import { isMissed as isBackupMissed } from '@/core/backup'
import { believed } from '@/core/climate'
import type { Region } from '@/core/region'
import { everyone, namesOf } from '@/core/shop'
import { mayDo, TOLD_FROM } from '@/core/staff'
import { dayIn, type Instant } from '@/core/time'
import { BackupMissed } from '@/features/backup/backup-missed'
import { LastBackup } from '@/features/backup/last-backup'
import { Live } from '@/features/frame/live'
import { HandedOnList } from '@/features/work/handed-on'
import { PromisesAtRisk } from '@/features/yard/at-risk'
import { AwayStrip } from '@/features/yard/away-strip'
import { CarNotes } from '@/features/yard/car-notes'
import { HeldSlots } from '@/features/yard/held-slots'
import { RefusedEntries } from '@/features/yard/refused-entries'
import { ShopNews } from '@/features/yard/shop-news'
import { ToPutToCustomers } from '@/features/yard/to-put'
import { StillToSetUp, Welcome } from '@/features/yard/welcome'
import { YardScreen } from '@/features/yard/yard-screen'
import { yardView } from '@/features/yard/yard-view'
import { countDue } from '@/server/aftercare/due-list'
import { backupPlaces, listBackups } from '@/server/backup/places'
import { database } from '@/server/db/connection'
import { spaceLeft } from '@/server/health/health'
import { unreadReplies } from '@/server/messages/message-store'
import { proposedThisMonth } from '@/server/people/retention'
import { loadRefusedViews } from '@/server/queue/refused-view'
import { loadToPut } from '@/server/quotes/since-agreed'
import { bayAir } from '@/server/shop/air'
import { wrongTries } from '@/server/staff/tries-store'
import { whoIsHere } from '@/server/staff/who-is-here'
import { awaitedOn, loadAway } from '@/server/work/away'
import { loadHandedOn } from '@/server/work/handed-on'
import { loadWaitingNotes } from '@/server/work/notes'
import { shortOfRoom } from '@/text/en/health'
import { outdatedText } from '@/text/en/people'
import { moment } from '@/text/formats'

/** Wrong passphrases and PINs, and a disk that fills up: told to whoever answers for the shop that day. */
async function machineNews(db: Knex, region: Region, at: Instant) {
  const space = await spaceLeft()
  const wrong = await wrongTries(db, at, TOLD_FROM)
  return [
    ...(space.isShort ? [{ words: shortOfRoom(region, space.freeBytes), href: '/shop/health' }] : []),
    ...(wrong.length > 0
      ? [{ words: 'Somebody typed wrong passphrases or PINs in the last day.', href: '/shop/staff' }]
      : []),
  ]
}

/** Once a month, what the shop has kept of people for its time: told to whoever may let go of it. */
async function outdatedNews(db: Knex, region: Region, at: Instant) {
  const proposed = await proposedThisMonth(db, dayIn(region.timezone, at))
  return proposed ? [{ words: outdatedText(region, proposed), href: '/shop/personal' }] : []
}

export default async function YardPage() {
  const since = await requestRevision()
  const floor = await requestFloor()
  const { setup, catalogue } = floor.shop
  const db = await database()
  const air = await bayAir(
    db,
    setup,
    setup.places.map(({ id }) => id),
    floor.now,
  )
  const yard = yardView(
    floor,
    (place) => believed(air.get(place)),
    (car) => {
      const next = car?.entry.live?.plan.operations.find(
        ({ id, productId }) => productId && car.entry.live!.progress[id]?.kind !== 'done',
      )
      return catalogue.find(({ id }) => id === next?.productId) ?? catalogue[0]!
    },
  )
  const refused = await loadRefusedViews(db, floor, (at) => moment(setup.region, at, floor.now))
  const names = namesOf(setup)
  const people = everyone(setup).map(({ id, name }) => ({ id, name }))
  const isEmpty = floor.jobs.length === 0
  const { into, byHand } = backupPlaces()
  const [latest] = byHand ? [] : await listBackups(into)
  const isMissed = !byHand && !isEmpty && isBackupMissed(latest?.at, floor.now)
  const { settingUp } = setup
  const { role } = await whoIsHere()
  const news = mayDo(role, 'manage')
    ? [
        ...(await machineNews(db, setup.region, floor.now)),
        ...(await outdatedNews(db, setup.region, floor.now)),
      ]
    : []
  return (
    <>
      <Live since={since} />
      <div className="px-5 pt-5 empty:hidden">
        <ShopNews news={news} />
        {isMissed && <BackupMissed last={latest?.at} region={setup.region} />}
        <PromisesAtRisk since={since} names={names} sure={setup.sure} region={setup.region} now={floor.now} />
        <RefusedEntries refused={refused} region={setup.region} now={floor.now} />
        <HandedOnList
          waiting={(await loadHandedOn(db, floor)).filter(({ isDenied }) => isDenied)}
          people={people}
          region={setup.region}
          now={floor.now}
        />
        <CarNotes
          notes={await loadWaitingNotes(db, floor)}
          people={people}
          region={setup.region}
          now={floor.now}
          office
        />
        <ToPutToCustomers
          waiting={await loadToPut(db, floor)}
          methods={setup.methods}
          region={setup.region}
        />
      </div>
      {isEmpty && <Welcome settingUp={settingUp} />}
      {!isEmpty && settingUp && <StillToSetUp settingUp={settingUp} />}
      {!(isEmpty && settingUp) && (
        <YardScreen
          yard={yard}
          away={
            <AwayStrip
              away={await loadAway(db, floor)}
              awaited={awaitedOn(floor)}
              people={setup.people.map(({ id, name }) => ({ id, name }))}
              region={setup.region}
              now={floor.now}
            />
          }
          held={
            <HeldSlots
              slots={floor.holds
                .filter(({ jobId }) => !jobId)
                .map(({ id, name, phone, car, packageName, bringAt, until }) => ({
                  id,
                  name,
                  phone,
                  car,
                  packageName,
                  bringAt,
                  until,
                }))}
              region={setup.region}
              now={floor.now}
            />
          }
          after={{
            toSee: (await countDue(db, dayIn(setup.region.timezone, floor.now))).now,
            answers: (await unreadReplies(db)).length,
          }}
          context={{
            region: setup.region,
            now: floor.now,
            nameOf: (person) => names[person] ?? person,
            sensed: setup.devices.baySensors !== 'none',
          }}
        />
      )}
      {latest && !isMissed && mayDo(role, 'manage') && (
        <LastBackup at={latest.at} region={setup.region} now={floor.now} />
      )}
    </>
  )
}
