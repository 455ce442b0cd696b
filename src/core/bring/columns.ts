import { BRING_FIELDS, type BringColumns, type BringField } from './entry'

/** How columns are called in lists of other programs: English, French and German, without case, accents and signs. */
const CALLED: Record<BringField, RegExp> = {
  name: /^(name|customer|customername|fullname|owner|client|contact|kunde|kundenname|halter|nom|nomduclient|proprietaire)$/,
  phone:
    /^(tel|telephone|phone|phonenumber|mobile|mobilephone|cell|handy|telefon|telefonnummer|mobil|portable)$/,
  email: /^(email|mail|emailaddress|courriel|adressemail)$/,
  plate:
    /^(plate|plateno|numberplate|licenseplate|licenceplate|registration|reg|regno|registrationnumber|kennzeichen|immatriculation|plaque)$/,
  vin: /^(vin|vinnumber|chassis|chassisnumber|fin|fahrgestellnummer|numerodeserie|vehiclenumber)$/,
  make: /^(make|brand|manufacturer|marke|hersteller|marque)$/,
  model: /^(model|modell|modele|vehicle|car|fahrzeug|vehicule)$/,
  year: /^(year|modelyear|baujahr|annee|jahr|modelljahr)$/,
  colour: /^(colour|color|paintcolour|paintcolor|farbe|couleur|lack)$/,
  colourCode: /^(colourcode|colorcode|paintcode|farbcode|farbnummer|codecouleur|codepeinture)$/,
  shape: /^(shape|body|bodytype|bodyshape|bodystyle|karosserie|carrosserie|type)$/,
  day: /^(date|day|jobdate|servicedate|visitdate|datum|jour|completed|donedate|datedutravail)$/,
  work: /^(work|job|service|package|description|workdone|arbeit|leistung|paket|travail|prestation|forfait)$/,
  price: /^(price|total|amount|cost|paid|revenue|preis|betrag|summe|prix|montant)$/,
}

const plainHeader = (text: string) =>
  text
    .toLowerCase()
    .normalize('NFD')
    .replace(/[^a-z]/g, '')

/** What the columns of a header probably hold; a field is given to the first column that is called so. */
export function guessColumns(header: readonly string[]): BringColumns {
  const columns: BringColumns = {}
  for (const [at, text] of header.entries()) {
    const field = BRING_FIELDS.find(
      (each) => columns[each] === undefined && CALLED[each].test(plainHeader(text)),
    )
    if (field) columns[field] = at
  }
  return columns
}
