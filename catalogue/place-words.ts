import { z } from 'zod'
import { placeWordsSchema, type PlaceWords } from '#core/supply'

const streets = ['street', 'st', 'road', 'rd', 'lane', 'avenue', 'way', 'hill', 'gate', 'bridge', 'weg', 'strasse', 'rue', 'via', 'calle']
/** What is made for bicycles, in languages that say it by a word of its own. */
const bicycles = ['bicicleta', 'bicicletas', 'biciclette', 'bici', 'bicis', 'velos', 'velo', 'fahrrad', 'fahrrader']
/** What shops sell that is of no use on a ride. */
const otherWares = [
  ...['antique', 'appliance', 'art', 'arts', 'baby', 'bag', 'barber', 'bathroom', 'beauty', 'bed', 'bedding', 'beverage', 'boat', 'book', 'bridal', 'butcher'],
  ...['camera', 'candle', 'candy', 'cannabis', 'card', 'carpet', 'charity', 'cheese', 'chip', 'chocolate', 'cigarette', 'cloth', 'clothes', 'clothing', 'coffee'],
  ...['collectible', 'comic', 'component', 'computer', 'confectionery', 'copy', 'cosmetics', 'craft', 'crafts', 'cream', 'curtain', 'dairy', 'decoration', 'design'],
  ...['discount', 'dive', 'diving', 'dollar', 'door', 'drink', 'dress', 'electronics', 'equipment', 'erotic', 'fabric', 'fashion', 'fish', 'fishing', 'floor'],
  ...['flooring', 'flower', 'frame', 'framing', 'furniture', 'game', 'games', 'garden', 'gift', 'glass', 'goods', 'gun', 'hair', 'hat', 'health', 'hearing', 'hobby'],
  ...['honey', 'houseware', 'household', 'hunting', 'ink', 'jewellery', 'jewelry', 'kitchen', 'lamp', 'leather', 'lighting', 'linen', 'liquor', 'lottery', 'luggage'],
  ...['machine', 'massage', 'mattress', 'medical', 'mobile', 'model', 'music', 'newspaper', 'nut', 'optical', 'paint', 'party', 'pastry', 'pawn', 'perfume', 'pet'],
  ...['phone', 'photo', 'photography', 'pizza', 'pottery', 'record', 'religious', 'rental', 'scuba', 'second hand', 'secondhand', 'sewing', 'sex', 'sexy', 'shoe'],
  ...['souvenir', 'spice', 'stationery', 'surf', 'surplus', 'swim', 'tailor', 'tattoo', 'tea', 'telecom', 'textile', 'thrift', 'tile', 'tobacco', 'toy', 'trade'],
  ...['trophy', 'tyre', 'tire', 'vape', 'variety', 'vegetable', 'video', 'watch', 'watches', 'weapon', 'wedding', 'wholesale', 'wig', 'wine', 'wool', 'yoghurt', 'yogurt'],
  ...['accessories', 'accessory', 'alcohol', 'barbecue', 'blind', 'catalog', 'catalogue', 'cleaner', 'consignment', 'fireplace', 'fireworks', 'furnishing', 'hifi', 'hoover'],
  ...['instrument', 'magazine', 'manga', 'pasta', 'resale', 'retail', 'rice', 'seafood', 'suit', 'suits', 'supplements', 'sweet', 'underwear', 'vacuum', 'workwear'],
]
const inEnglish = ['shop', 'store']

/**
 * Words by which riders, and the makers of maps, name places: in English, German, French, Spanish, Italian and Dutch, and as
 * tags of OpenStreetMap. What says most comes first. From memory; tests/reference/place-names holds them against names that
 * others have given.
 */
const written: z.input<typeof placeWordsSchema>[] = [
  // The season, and no well; and what has the word of something else in its name.
  { has: null, words: ['in spring', 'in the spring', 'early spring', 'late spring', 'until spring'] },
  {
    has: null,
    words: [
      ...['fast food', 'food court', 'food bank', 'food truck', 'food vending machine', 'vending machine', 'distributore automatico', 'distributore sacchetti'],
      ...['charging station', 'charge station', 'estacion de carga', 'stazione di ricarica', 'station de recharge', 'fire station', 'police station', 'power station'],
      ...['weather station', 'pumping station', 'stazione di pompaggio', 'coach house', 'ghost train', 'tourist train', 'train wash', 'bus trap', 'railway crossing', 'railway bridge'],
      ...['parking garage', 'insect hotel', 'oil well', 'spring rider', 'spring rocker', 'water slide', 'water hazard', 'water turbine', 'water utility', 'post sorting office'],
      ...['outdoor seating', 'outdoor gym', 'outdoor fitness', 'outdoor pool', 'piscine', 'wildlife refuge', 'refuge island', 'refugio de fauna', 'refuge animalier'],
      ...['bac a sel', 'bac a sable', 'bac a dechets', 'hotel de ville', 'estacion de radio', 'estacion de bomberos', 'estacion de television', 'aire de jeux', 'disused shop', 'vacant shop', 'tienda cerrada'],
      ...inEnglish.flatMap((shop) => otherWares.map((wares) => `${wares} ${shop}`)),
    ],
  },
  {
    has: null,
    // Where bicycles are left, lent or led, and none is mended.
    words: [
      ...['parking', 'estacionamiento', 'aparcamiento', 'alquiler', 'lavado', 'parcheggio', 'noleggio', 'rimessa', 'location', 'parc', 'barrera', 'casilleros', 'cruce', 'carril', 'pista', 'senda', 'cobertizo', 'garage', 'support'].flatMap(
        (what) => ['de', 'para', 'di', 'per', 'a'].flatMap((join) => bicycles.map((bicycle) => `${what} ${join} ${bicycle}`)),
      ),
      ...['parcheggio', 'noleggio', 'lavaggio'].flatMap((what) => bicycles.map((bicycle) => `${what} ${bicycle}`)),
      ...['passage cycliste', 'piste cycliste', 'pietonne et cycliste', 'attente cycliste', 'fahrrad ubergang', 'fahrrad parkplatz', 'fahrradverleih', 'fahrrad strasse'],
    ],
  },
  {
    has: { service: 'bike-shop' },
    words: [
      ...['bike', 'bicycle', 'cycle', 'velo', 'cycling'].flatMap((bike) =>
        ['shop', 'store', 'repair', 'service', 'mechanic', 'workshop', 'centre', 'center', 'works', 'doctor', 'hub', 'dealer'].map(
          (place) => `${bike} ${place}`,
        ),
      ),
      ...['bikeshop', 'cycleshop', 'bikestore', 'cyclery', 'bicycles', 'cycles', 'bikes', 'bike fixer', 'lbs', 'shop bicycle', 'shop for bikes'],
      ...['fahrradlad*', 'fahrradgesch*', 'fahrradhandl*', 'fahrradwerk*', 'fahrradreparatur*', 'fahrradservice', 'fahrradhaus', 'radladen', 'velogeschaft', 'velohandl*'],
      ...['radgeschaft', 'radsport', 'radhaus', 'radwerkstatt', 'radservice', 'zweirad*', 'fahrrad', 'fahrrader', 'velowerkstatt', 'veloladen'],
      ...['magasin de velo', 'velociste', 'reparation velo', 'reparation de velo', 'atelier velo', 'atelier de velo', 'cycliste', 'reparateur de velo', 'marchand de velo'],
      ...['tienda de bicicleta', 'tienda de bici', 'taller de bicicleta', 'taller de bici', 'bicicleteria', 'bicicleta', 'reparacion de bicicleta'],
      ...['negozio di bici', 'negozio bici', 'negozio di biciclette', 'biciclette', 'ciclofficina', 'cicli', 'riparazione bici', 'riparazione biciclette', 'fietsenmaker'],
      ...['fietsenwinkel', 'fietswinkel', 'fietsenzaak', 'fietszaak', 'fietshandel', 'fietsenhandel', 'fietsreparatie*', 'rijwiel*', 'sykkelbutik*', 'sykkelverksted', 'cykelbutik*', 'cykelverkstad', 'cykelhandl*'],
    ],
    butNot: ['path', 'lane', 'route', 'rental', 'hire', 'park', 'rack', 'parking', 'only', 'on', 'allowed', 'no'],
  },
  {
    has: { service: 'outdoor-shop' },
    words: [
      ...['outdoor', 'outdoors', 'sport', 'sports', 'camping', 'gear', 'mountain', 'ski', 'trekking', 'climbing', 'hiking'].flatMap((kind) => [
        `${kind} shop`,
        `${kind} store`,
      ]),
      ...['sporting good', 'outfitter', 'shop outdoor', 'shop sports', 'sporthaus', 'sportgeschaft', 'sportladen', 'sportartikel', 'outdoorladen', 'outdoorgeschaft', 'bergsport*', 'campingladen', 'campingbedarf'],
      ...['magasin de sport', 'magasin dequipement sportif', 'magasin darticles de sport', 'magasin de sports', 'article de sport', 'articles de sport', 'equipement sportif', 'equipements sportifs', 'sports de plein air', 'materiel de montagne'],
      ...['tienda de deporte', 'tienda de deportes', 'articulos deportivos', 'tienda de montana', 'tienda de aire libre', 'tienda de actividades al aire libre', 'tienda de acampada', 'tienda de camping'],
      ...['negozio di sport', 'negozio sportivo', 'articoli sportivi', 'sport all aria aperta', 'sport allaria aperta', 'articoli da montagna', 'sportwinkel', 'sportzaak', 'buitensport*', 'kampeerwinkel', 'outdoorwinkel', 'outdoor'],
    ],
    butNot: ['cafe', 'area', 'centre'],
  },
  {
    has: { service: 'hardware-store' },
    words: [
      ...['hardware', 'hardware store', 'hardware shop', 'ironmonger', 'ironmongers', 'ironmongery', 'diy', 'diy store', 'diy shop', 'diy superstore', 'do it yourself', 'builders merchant', 'building supplies', 'tool shop', 'tool store', 'farm supplies', 'farm supply', 'farm store'],
      ...['shop doityourself', 'shop hardware', 'baumarkt', 'eisenwaren*', 'eisenhandl*', 'baucenter', 'heimwerker*', 'werkzeug*', 'baustoff*', 'landhandel', 'quincaillerie', 'bricolage'],
      ...['materiaux de construction', 'ferreteria', 'hagalo usted mismo', 'materiales de construccion', 'tlapaleria', 'ferramenta', 'fai da te', 'bouwmarkt', 'ijzerwaren*', 'ijzerhandel', 'doe het zelf', 'agricultural supplies'],
    ],
  },
  {
    has: { service: 'fuel-station' },
    words: [
      ...['fuel', 'fuelling', 'petrol', 'gas', 'filling', 'service', 'gasoline'].map((kind) => `${kind} station`),
      ...['petrol', 'fuel', 'diesel', 'amenity fuel', 'tankstelle', 'tanke', 'station service', 'station essence', 'essence', 'gasolinera', 'gasolinerie', 'estacion de servicio', 'surtidor', 'benzinaio'],
      ...['distributore', 'distributore di benzina', 'stazione di servizio', 'stazione servizio', 'tankstation', 'benzinestation', 'benzinepomp', 'pompstation', 'petrol pump', 'roadhouse', 'servo'],
    ],
  },
  {
    has: { service: 'post' },
    words: [
      ...['post office', 'postoffice', 'amenity post office', 'postamt', 'postfiliale', 'poststelle', 'postagentur', 'bureau de poste', 'agence postale', 'relais poste', 'oficina de correos', 'oficina de correo'],
      ...['oficina postal', 'estafeta', 'correos', 'la poste', 'ufficio postale', 'poste', 'poste restante', 'parcel', 'parcel shop', 'parcel locker', 'packstation', 'paketshop', 'postkantoor', 'postagentschap', 'post'],
    ],
    butNot: ['trading', 'border', 'guard', 'sign', 'mile', 'frontier', 'customs', 'police', 'military', 'check', 'restaurant', 'box', 'de', 'frontiere', 'electrico'],
  },
  {
    has: { exit: 'train' },
    words: [
      ...['train station', 'railway station', 'railroad station', 'rail station', 'railway halt', 'train stop', 'railway stop', 'train halt', 'bahnhof', 'hauptbahnhof', 'hbf', 'bahn', 'bahnhaltestelle', 'eisenbahn*', 'haltepunkt', 'bahnstation'],
      ...['gare', 'halte ferroviaire', 'gare ferroviaire', 'estacion de tren', 'estacion de trenes', 'estacion de ferrocarril', 'estacion', 'apeadero', 'stazione', 'stazione ferroviaria', 'fermata ferroviaria', 'ferroviaria'],
      ...['station de train', 'treinstation', 'treinhalte', 'spoorwegstation', 'stationsgebouw', 'train', 'railway', 'railhead'],
    ],
    butNot: [
      ...['old', 'disused', 'museum', 'path', 'crossing', 'bridge', 'tunnel', 'routiere', 'autobuses', 'autobus', 'servicio', 'inn', 'hotel', 'trail', 'track', 'switch', 'signal', 'line', 'milestone', 'corridor'],
      ...['maritime', 'metro', 'television', 'esqui', 'meteorologica', 'peaje', 'grande', 'vitesse', 'u'],
    ],
  },
  {
    has: { exit: 'ferry' },
    words: [
      ...['ferry', 'ferry terminal', 'ferry port', 'ferry pier', 'amenity ferry terminal', 'ferry boat', 'ferryboat', 'fahre', 'fahrschiff', 'fahrboot', 'fahranleger', 'schiffsanleger', 'schiffanleger', 'schiffsanlegestelle', 'anlegestelle', 'bac', 'gare maritime'],
      ...['embarcadere', 'traghetto', 'traghetti', 'imbarcadero', 'embarcadero', 'transbordador', 'veer', 'veerpont', 'veerboot*', 'boat landing', 'ferry landing', 'boat pier', 'jetty'],
    ],
    butNot: ['inn', 'hotel', 'arms', 'de', 'du', 'des', 'le', 'sur', 'old', 'a', ...streets],
  },
  {
    has: { exit: 'lift' },
    words: ['cable car', 'cablecar', 'gondola', 'chairlift', 'chair lift', 'funicular', '*seilbahn', 'gondelbahn', 'bergbahn', 'sesselbahn', 'sessellift', 'telepherique', 'telecabine', 'telesiege', 'funiculaire', 'teleferico', 'telecabina', 'funivia', 'funicolare', 'seggiovia', 'kabelbaan', 'stoeltjeslift'],
  },
  {
    has: { exit: 'bus' },
    words: [
      ...['bus', 'bus stop', 'bus station', 'bus terminal', 'coach station', '*busbahnhof', '*bushaltestelle', 'bushalt', 'omnibus*', 'highway bus stop', 'arret de bus', 'gare routiere', 'parada de bus', 'parada de autobus', 'estacion de autobuses'],
      ...['terminal de autobuses', 'autobus', 'autobuses', 'fermata', 'fermata autobus', 'fermata dellautobus', 'stazione autobus', 'stazione degli autobus', 'autostazione', 'bushalte', 'busstation'],
    ],
    butNot: ['tram', 'metro', 'del tram', 'guideway', 'lane'],
  },
  {
    has: { service: 'workshop' },
    words: [
      ...['workshop', 'garage', 'mechanic', 'blacksmith', 'smithy', 'smithery', 'smith', 'farrier', 'forge', 'welder', 'tractor repair', 'car repair', 'automobile repair', 'auto repair', 'machine shop', '*werkstatt', '*schmied', '*schmiede', '*schlosser', 'handwerksbetrieb'],
      ...['schlosserei', 'landmaschinen*', 'atelier', 'mecanicien', 'forgeron', 'ferronnier', 'marechal ferrant', 'reparation automobile', 'taller', 'garaje', 'mecanico', 'herrero', 'herreria', 'officina', 'autofficina', 'meccanico'],
      ...['fabbro', 'maniscalco', 'werkplaats', 'smederij', 'smid', 'autogarage', 'shop car repair', 'craft blacksmith', 'garagiste'],
    ],
    butNot: ['art', 'artist', 'pottery', 'old', 'cafe', 'inn', 'landuse', 'artesano', 'parking', 'singolo', 'voie'],
  },
  {
    has: { service: 'supermarket' },
    words: [
      ...['supermarket', 'superette', 'hypermarket', 'grocery', 'groceries', 'grocer', 'grocers', 'general store', 'general dealer', 'convenience', 'convenience store', 'convenience shop', 'minimarket', 'mini market', 'mini mart', 'minimart', 'bodega'],
      ...['food shop', 'food store', 'village shop', 'village store', 'farm shop', 'corner shop', 'country store', 'provisions', 'resupply', 're supply', 'shopping center', 'shopping centre', 'deli'],
      ...['shop supermarket', 'shop convenience', 'supermarche', 'hypermarche', 'epicerie', 'alimentation', 'magasin general', 'magasin dalimentation', 'multiservice', 'superette', 'supermercado', 'alimentacion', 'tienda de alimentacion', 'tienda de comestible'],
      ...['comestible', 'abarrotes', 'ultramarinos', 'colmado', 'tienda de pueblo', 'tienda general', 'almacen', 'supermercato', 'alimentari', 'emporio', 'minimarkt', 'supermarkt', 'lebensmittel*', 'dorfladen', 'hofladen'],
      ...['gemischtwaren*', 'kramerladen', 'kramladen', 'kolonial*', 'nachbarschaftsladen', 'emma laden', 'kaufhalle', 'kaufladen', 'spatkauf', 'spatverkauf', 'spati', 'einkaufsmarkt', 'buurtwinkel', 'dorpswinkel', 'kruidenier*', 'levensmiddelen*', 'gemakswinkel', 'avondwinkel', 'algemene winkel'],
    ],
    butNot: ['cold', 'hall'],
  },
  // A shop of something else, in languages that say of what afterwards.
  { has: null, words: ['tienda de', 'tienda para', 'tienda erotica', 'negozio di', 'negozio per', 'magasin d*', 'magasin pour', 'magasin a', 'boutique', 'winkel voor', 'winkel van'] },
  {
    has: { service: 'supermarket' },
    words: ['tienda', 'mercado', 'mercato', 'marche', 'markt', 'laden', 'market', 'trading post', 'negozio', 'magasin', 'winkel', 'shop', 'store', 'food'],
    butNot: ['repair', 'supply', 'square', 'place', 'street', 'cold', 'hall', 'cross', 'unspecified', 'entrance', ...otherWares],
  },
  {
    has: { service: 'water' },
    words: [
      ...['drinking water', 'water tap', 'water point', 'water source', 'water fountain', 'water refill', 'water tank', 'water pump', 'potable water', 'amenity drinking water', 'fountain', 'tap', 'spring', 'well', 'borehole'],
      ...['standpipe', 'cistern', 'h2o', 'trinkwasser*', 'trinkbrunnen', 'dorfbrunnen', 'wasserstelle', 'wasserhahn', 'wasser', '*brunnen', 'quelle', 'eau', 'eau potable', 'point deau', 'point d eau', 'robinet', 'fontaine', 'source', 'puits', 'agua', 'agua potable'],
      ...['fuente', 'fuente de agua', 'grifo', 'manantial', 'acqua', 'acqua potabile', 'fontana', 'fontanella', 'fonte', 'sorgente', 'drinkwater*', 'waterpunt', 'watertap', 'waterkraan', 'fontein', 'cemetery tap', 'water'],
    ],
    butNot: [
      ...streets,
      ...['mill', 'fall', 'falls', 'works', 'wheel', 'crossing', 'sports', 'park', 'tower', 'bad', 'salt', 'hot', 'oil', 'slide', 'utility', 'reservoir', 'hazard', 'residuales', 'torre', 'turbina', 'obstaculo', 'cuerpo', 'clarificador'],
    ],
  },
  {
    has: { service: 'bed' },
    words: [
      ...['hotel', 'hostel', 'motel', 'inn', 'lodge', 'lodging', 'guest house', 'guesthouse', 'b b', 'bnb', 'bed breakfast', 'bed and breakfast', 'bunkhouse', 'hut', 'mountain shelter', 'refuge', 'youth hostel', 'boarding house', 'hostelry', 'tourism hotel'],
      ...['tourism hostel', 'tourism guest house', 'tourism alpine hut', 'gasthof', 'gasthaus', 'gastehaus', 'pension', '*pension', 'herberge', 'jugendherberge', 'ferienwohnung', 'zimmer frei', '*hutte', 'gite', 'auberge', 'chambre d hote'],
      ...['chambre dhote', 'chambres d hotes', 'chambres dhotes', 'maison d hotes', 'cabane', 'albergue', 'hostal', 'refugio', 'posada', 'pensione', 'casa rural', 'casa de huespedes', 'albergo', 'rifugio', 'ostello', 'locanda', 'affittacamere'],
      ...['agriturismo', 'bivacco', 'herberg', 'jeugdherberg', 'logement', 'berghut', 'pensione', 'parador', 'cabin', 'rooms', 'apartment'],
    ],
    butNot: [...streets, 'ruin', 'ruins', 'building', 'complex', 'love', 'insect', 'picnic', 'pour', 'para', 'animales', 'animali', 'animaliere'],
  },
]

export const placeWords: PlaceWords[] = z.array(placeWordsSchema).parse(written)
