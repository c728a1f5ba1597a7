import { z } from 'zod'
import { placeWordsSchema, type PlaceWords } from '#core/supply'

const streets = ['street', 'st', 'road', 'rd', 'lane', 'avenue', 'way', 'hill', 'gate', 'bridge', 'weg', 'strasse', 'rue', 'via', 'calle']

/**
 * Words by which riders, and the makers of maps, name places: in English, German, French, Spanish, Italian and Dutch, and as
 * tags of OpenStreetMap. What says most comes first. From memory, no source.
 */
const written: z.input<typeof placeWordsSchema>[] = [
  // The season, and no well.
  { has: null, words: ['in spring', 'in the spring', 'early spring', 'late spring', 'until spring'] },
  {
    has: { service: 'bike-shop' },
    words: [
      ...['bike', 'bicycle', 'cycle', 'velo', 'cycling'].flatMap((bike) =>
        ['shop', 'store', 'repair', 'service', 'mechanic', 'workshop', 'centre', 'center', 'works', 'doctor', 'hub'].map(
          (place) => `${bike} ${place}`,
        ),
      ),
      ...['bikeshop', 'cycleshop', 'bikestore', 'cyclery', 'bicycles', 'cycles', 'bikes', 'bike fixer', 'lbs', 'shop bicycle', 'shop for bikes'],
      ...['fahrradlad*', 'fahrradgesch*', 'fahrradhandl*', 'fahrradwerk*', 'fahrradreparatur*', 'fahrradservice', 'fahrradhaus', 'radladen'],
      ...['radgeschaft', 'radsport', 'radhaus', 'radwerkstatt', 'radservice', 'zweirad*', 'fahrrad', 'fahrrader', 'velowerkstatt', 'veloladen'],
      ...['magasin de velo', 'velociste', 'reparation velo', 'atelier velo', 'cycliste', 'reparateur de velo', 'marchand de velo'],
      ...['tienda de bicicleta', 'tienda de bici', 'taller de bicicleta', 'taller de bici', 'bicicleteria', 'bicicleta', 'reparacion de bicicleta'],
      ...['negozio di bici', 'negozio bici', 'biciclette', 'ciclofficina', 'cicli', 'riparazione bici', 'fietsenmaker', 'fietsenwinkel', 'rijwiel*', 'sykkelbutik*', 'sykkelverksted', 'cykelbutik*', 'cykelverkstad', 'cykelhandl*'],
    ],
    butNot: ['path', 'lane', 'route', 'rental', 'hire', 'park', 'rack', 'parking', 'only', 'on', 'allowed', 'no'],
  },
  {
    has: { service: 'outdoor-shop' },
    words: [
      ...['outdoor', 'sport', 'sports', 'camping', 'gear', 'mountain', 'ski', 'trekking'].flatMap((kind) => [`${kind} shop`, `${kind} store`]),
      ...['outfitter', 'shop outdoor', 'shop sports', 'sporthaus', 'sportgeschaft', 'magasin de sport', 'tienda de deporte', 'negozio di sport', 'outdoor'],
    ],
  },
  {
    has: { service: 'hardware-store' },
    words: [
      ...['hardware', 'hardware store', 'hardware shop', 'ironmonger', 'ironmongers', 'diy', 'diy store', 'diy shop', 'builders merchant', 'tool shop', 'farm supplies', 'farm supply'],
      ...['shop doityourself', 'shop hardware', 'baumarkt', 'eisenwaren', 'quincaillerie', 'bricolage', 'ferreteria', 'ferramenta', 'bouwmarkt', 'agricultural supplies'],
    ],
  },
  {
    has: { service: 'fuel-station' },
    words: [
      ...['fuel', 'petrol', 'gas', 'filling', 'service', 'gasoline'].map((kind) => `${kind} station`),
      ...['petrol', 'fuel', 'diesel', 'amenity fuel', 'tankstelle', 'station service', 'gasolinera', 'gasolinerie', 'benzinaio', 'distributore', 'tankstation', 'petrol pump', 'roadhouse', 'servo'],
    ],
  },
  {
    has: { service: 'post' },
    words: ['post office', 'postoffice', 'amenity post office', 'postamt', 'postfiliale', 'bureau de poste', 'oficina de correos', 'correos', 'la poste', 'ufficio postale', 'poste restante', 'parcel', 'parcel shop', 'parcel locker', 'postkantoor', 'post'],
    butNot: ['trading', 'border', 'guard', 'sign', 'mile', 'frontier', 'customs', 'police', 'military', 'check', 'restaurant'],
  },
  {
    has: { exit: 'train' },
    words: ['train station', 'railway station', 'rail station', 'railway halt', 'train stop', 'railway stop', 'bahnhof', 'hauptbahnhof', 'hbf', 'bahn', 'gare', 'estacion de tren', 'estacion', 'stazione', 'ferroviaria', 'station de train', 'treinstation', 'train', 'railway', 'railhead'],
    butNot: ['old', 'disused', 'museum', 'path', 'crossing', 'bridge', 'tunnel', 'routiere', 'autobuses', 'servicio', 'inn', 'hotel', 'trail'],
  },
  {
    has: { exit: 'ferry' },
    words: ['ferry', 'ferry terminal', 'ferry port', 'ferry pier', 'amenity ferry terminal', 'fahre', 'fahranleger', 'bac', 'traghetto', 'transbordador', 'veerpont', 'boat landing', 'ferry landing'],
    butNot: ['inn', 'hotel', 'arms', ...streets],
  },
  {
    has: { exit: 'lift' },
    words: ['cable car', 'cablecar', 'gondola', 'chairlift', 'chair lift', 'funicular', 'seilbahn', 'gondelbahn', 'telepherique', 'telecabine', 'teleferico', 'funivia'],
  },
  {
    has: { exit: 'bus' },
    words: ['bus', 'bus stop', 'bus station', 'busbahnhof', 'bushaltestelle', 'highway bus stop', 'arret de bus', 'gare routiere', 'parada de bus', 'estacion de autobuses', 'fermata', 'bushalte'],
  },
  {
    has: { service: 'workshop' },
    words: ['workshop', 'garage', 'mechanic', 'blacksmith', 'smithy', 'forge', 'welder', 'tractor repair', 'car repair', 'machine shop', '*werkstatt', 'schmiede', 'schlosserei', 'atelier', 'mecanicien', 'taller', 'mecanico', 'officina', 'werkplaats', 'shop car repair', 'craft blacksmith', 'garagiste'],
    butNot: ['art', 'artist', 'pottery', 'old', 'cafe', 'inn'],
  },
  {
    has: { service: 'supermarket' },
    words: [
      ...['supermarket', 'grocery', 'groceries', 'grocer', 'grocers', 'general store', 'convenience', 'convenience store', 'minimarket', 'mini market', 'mini mart', 'minimart'],
      ...['food shop', 'food store', 'village shop', 'village store', 'farm shop', 'corner shop', 'country store', 'provisions', 'resupply', 're supply', 'shopping center', 'shopping centre'],
      ...['shop supermarket', 'shop convenience', 'supermarche', 'epicerie', 'alimentation', 'supermercado', 'alimentacion', 'supermercato', 'alimentari', 'supermarkt', 'lebensmittel*', 'dorfladen'],
      ...['tienda', 'mercado', 'market', 'trading post', 'buurtwinkel', 'shop', 'store', 'food'],
    ],
    butNot: ['coffee', 'gift', 'charity', 'barber', 'souvenir', 'antique', 'book', 'wine', 'surf', 'craft', 'square', 'place', 'flower', 'fish', 'street', 'cold', 'hall', 'cross'],
  },
  {
    has: { service: 'water' },
    words: ['drinking water', 'water tap', 'water point', 'water source', 'water fountain', 'water refill', 'water tank', 'water pump', 'potable water', 'amenity drinking water', 'fountain', 'tap', 'spring', 'well', 'borehole', 'standpipe', 'cistern', 'h2o', 'trinkwasser*', 'wasser', 'brunnen', 'quelle', 'eau', 'eau potable', 'point deau', 'fontaine', 'agua', 'agua potable', 'fuente', 'acqua', 'acqua potabile', 'fontana', 'fontanella', 'drinkwater', 'cemetery tap', 'water'],
    butNot: [...streets, 'mill', 'fall', 'falls', 'works', 'wheel', 'crossing', 'sports', 'park', 'tower', 'bad', 'salt', 'hot'],
  },
  {
    has: { service: 'bed' },
    words: ['hotel', 'hostel', 'motel', 'inn', 'lodge', 'lodging', 'guest house', 'guesthouse', 'b b', 'bnb', 'bed breakfast', 'bed and breakfast', 'bunkhouse', 'hut', 'refuge', 'youth hostel', 'tourism hotel', 'tourism hostel', 'tourism guest house', 'tourism alpine hut', 'gasthof', 'gasthaus', 'pension', 'herberge', 'jugendherberge', '*hutte', 'gite', 'auberge', 'chambre d hote', 'chambres dhotes', 'albergue', 'hostal', 'refugio', 'posada', 'albergo', 'rifugio', 'ostello', 'locanda', 'herberg', 'parador', 'cabin', 'rooms', 'apartment'],
    butNot: [...streets, 'ruin', 'ruins'],
  },
]

export const placeWords: PlaceWords[] = z.array(placeWordsSchema).parse(written)
