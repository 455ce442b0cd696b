import { list } from '../formats'
import { markName, markNeeds } from '../marks'
import { placeTitle } from '../panels'
import type { SignOffWords } from '../sign-off'
import { fillerUnder, panelsAhead } from './sentence'

export const signOffInFrench: SignOffWords = {
  title: 'Avant de commencer',
  line: {
    'nail-catchers-stay': (fact, region) =>
      `${panelsAhead(region, fact)} : les rayures qui accrochent l’ongle resteront. Elles sont trop profondes pour être polies sans risque et pourront se voir davantage une fois la peinture nette autour d’elles.`,
    'chips-stay': (fact, region) =>
      `${panelsAhead(region, fact)} : les éclats de gravillons resteront. Ce sont des trous dans la peinture ; les retoucher est une prestation à part.`,
    'chips-touched-up': (fact, region) =>
      `${panelsAhead(region, fact)} : les éclats de gravillons seront retouchés dans le cadre de cette prestation. Ils seront scellés et moins visibles, mais on pourra encore les repérer.`,
    'dents-stay': (fact, region) =>
      `${panelsAhead(region, fact)} : les bosses resteront. Un débosseleur peut intervenir avant le polissage.`,
    'failing-clear-stays': (fact, region) =>
      `${panelsAhead(region, fact)} : le vernis se décolle. Seule une remise en peinture peut y remédier.`,
    'thin-panel-left': (fact, region) =>
      `${panelsAhead(region, fact)} : la peinture est fine. Elle sera nettoyée et protégée, mais pas polie, et ses marques resteront.`,
    'stays-for-thin-paint': (fact, region) =>
      `${panelsAhead(region, fact)} : la peinture est trop fine pour effacer les marques sans risque. Elles resteront.`,
    'too-deep-to-remove': (fact, region) =>
      `${panelsAhead(region, fact)} : certaines marques sont trop profondes pour être polies sans risque. Elles resteront.`,
    'softened-only': (fact, region) =>
      `${panelsAhead(region, fact)} : défauts atténués, pas supprimés : ${list(
        region,
        fact.kinds.map((kind) => markName(region, kind)),
      )}. Ils se verront moins, mais resteront visibles sous une lampe d’inspection.`,
    'earlier-correction': (fact, region) =>
      `${panelsAhead(region, fact)} : polissage à la machine déjà effectué par le passé. Nous y enlèverons moins de peinture cette fois, pour garder une réserve sûre.`,
    repainted: (fact, region) =>
      `${panelsAhead(region, fact)} : peinture refaite par le passé. La teinte et la brillance peuvent différer légèrement du reste de la voiture, avant comme après notre travail.`,
    filler: fillerUnder,
    unread: (fact, region) =>
      `${panelsAhead(region, fact)} : l’épaisseur de peinture ne peut pas y être mesurée. Nous n’y employons que le polish le plus doux, et des marques resteront.`,
    'under-film': (fact, region) =>
      `${panelsAhead(region, fact)} : la peinture est sous un film. Il sera nettoyé, pas poli, et nous ne pouvons pas juger la peinture qu’il recouvre.`,
    'not-inspected': (fact, region) =>
      `${panelsAhead(region, fact)} : la peinture n’y a pas été examinée sous la lampe. Nous ne promettons rien quant à ses marques.`,
    'beside-the-paint': ({ place, defect, included }, region) => {
      const note = defect.note.trim()
      const what = `${placeTitle(region, place)} : ${markName(region, defect.kind)}${note ? ` (${note})` : ''}.`
      return included
        ? `${what} Constaté à l’arrivée de la voiture ; pris en charge dans le cadre de cette prestation, dans la mesure du possible.`
        : `${what} Constaté à l’arrivée de la voiture et hors de cette prestation. Ce défaut ${markNeeds(region, defect.kind)}.`
    },
  },
  nothingRemains: 'Nous n’avons trouvé aucune marque appelée à rester.',
  declaration:
    'Nous ne polissons que dans la mesure où la peinture le supporte. Les marques ci-dessus resteront, soit parce que le polissage ne peut pas les supprimer, soit parce que cela enlèverait plus de peinture que l’élément ne peut en céder. J’ai lu cette liste et elle m’a été expliquée.',
  job: (number) => `dossier ${number}`,
}
