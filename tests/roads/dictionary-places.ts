/**
 * Places by what bilingual dictionaries call them: what stands for a kind of place among the first two senses, and among the
 * synonyms, of its English names in the FreeDict dictionaries 2022.04.21 from English to German, French, Spanish, Italian and
 * Dutch (Debian's dict-freedict-eng-*), whose writers have not seen the words that proposals are made by. Written down after
 * those words, which were not changed for it before it was counted.
 */
export const dictionaryPlaces: Readonly<Record<string, readonly string[]>> = {
  supermarket: [
    ...['supermarket', 'grocery', 'grocery store', 'grocer', 'grocer’s', 'grocer’s shop', 'food shop', 'corner shop'],
    ...['convenience store', 'general store', 'market', 'Supermarkt', 'Kaufhalle', 'Lebensmittelgeschäft'],
    ...['Lebensmittelladen', 'Kolonialwarenhändler', 'Tante-Emma-Laden', 'Nachbarschaftsladen', 'Kramladen'],
    ...['Krämerladen', '24-Stunden-Shop', 'Spätverkauf', 'Spätkauf', 'Gemischtwarenhandlung', 'Kolonialladen'],
    ...['Kolonialwarenladen', 'Markt', 'marché', 'supermercado', 'mercado', 'mercato', 'supermarkt', 'markt'],
  ],
  'hardware-store': [
    ...['ironmonger', 'ironmongery', 'hardware store', 'DIY superstore', 'Eisenhändler', 'Eisenwarenhändler'],
    ...['Eisenwarenhandlung', 'Baumarkt', 'Heimwerkermarkt', 'Baucenter'],
  ],
  'outdoor-shop': ['sports shop', 'Sportgeschäft'],
  'fuel-station': [
    'petrol station',
    'gas station',
    'filling station',
    'fuelling station',
    'service station',
    'Tankstelle',
  ],
  post: ['post office', 'Postfiliale', 'Postamt', 'Post', 'bureau de poste', 'postkantoor'],
  workshop: [
    ...[
      'garage',
      'car repair shop',
      'workshop',
      'blacksmith',
      'farrier',
      'smithy',
      'smithery',
      'smith’s shop',
      'forge',
    ],
    ...['mechanic', 'Autowerkstatt', 'Reparaturwerkstatt', 'Handwerksbetrieb', 'Grobschmied', 'Schmied', 'Hufschmied'],
    ...['Schmiede', 'Maschinenschlosser', 'atelier', 'mécanicien', 'garaje', 'mecánico', 'meccanico', 'werkplaats'],
    'mecanicien',
  ],
  train: [
    ...[
      'railway station',
      'railroad station',
      'train station',
      'station',
      'Bahnhof',
      'Bahnstation',
      'gare',
      'estación',
    ],
    ...['stazione', 'spoorwegstation', 'stationsgebouw'],
  ],
  bus: [
    ...['bus stop', 'bus station', 'bus terminal', 'coach station', 'Bushaltestelle', 'Bushalt', 'Bushalte'],
    ...['Autobushaltestelle', 'Autobusbahnhof', 'Busbahnhof'],
  ],
  ferry: ['ferry', 'ferry-boat', 'Fährschiff', 'Fährboot', 'Fähre', 'bac', 'transbordador'],
  lift: ['cable car', 'Seilbahn', 'Bergbahn', 'Luftseilbahn', 'Drahtseilbahn', 'Seilschwebebahn'],
  bed: [
    ...[
      'hotel',
      'hostel',
      'youth hostel',
      'inn',
      'guesthouse',
      'boarding house',
      'hostelry',
      'Herberge',
      'Jugendherberge',
    ],
    ...[
      'Gasthof',
      'Gasthaus',
      'Gästehaus',
      'Privatpension',
      'Fremdenpension',
      'Pension',
      'hôtel',
      'auberge',
      'albergue',
    ],
    ...['albergo', 'herberg', 'logement', 'jeugdherberg', 'uitspanning'],
  ],
  water: [
    ...[
      'drinking water',
      'fountain',
      'well',
      'spring',
      'Trinkwasser',
      'Brunnen',
      'Springbrunnen',
      'fontaine',
      'source',
    ],
    ...['puits', 'fuente', 'fontana', 'fonte', 'sorgente', 'bron', 'put'],
  ],
}
