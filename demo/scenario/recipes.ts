import { BUILT_IN, type Line } from '../../src/core/chemistry';
import { parseRecipe, usableLines } from '../../src/core/recipe';

/** The studio's recipes as they stand on its cards; made up, with sound chemistry. */
const CARDS: Readonly<Record<string, string>> = {
  Limewash:
    'Potash feldspar, typical 24; Silica 20; Whiting 14; Kaolin 18; Talc 8; Calcium borosilicate frit 16; + Zircon 9; + Tin oxide 2',
  'Guard Green':
    'Potash feldspar, typical 30; Silica 26; Whiting 18; Kaolin 12; Calcium borosilicate frit 14; + Red iron oxide 1.5',
  Sleeper:
    'Potash feldspar, typical 36; Silica 24; Whiting 14; Kaolin 10; Dolomite 4; Calcium borosilicate frit 12; + Red iron oxide 8; + Manganese dioxide 2',
  'Plum Siding':
    'Soda feldspar, typical 34; Silica 24; Whiting 12; Kaolin 8; Calcium borosilicate frit 18; Zinc oxide 4; + Tin oxide 3; + Copper carbonate 1; + Silicon carbide 0.6',
  'Ash Tip': 'Wood ash 36; Potash feldspar, typical 30; Silica 18; Ball clay 16',
  'Kettle Blue':
    'Potash feldspar, typical 26; Silica 24; Whiting 14; Kaolin 16; Calcium borosilicate frit 20; + Cobalt carbonate 2; + Red iron oxide 1',
  'Slate Bank':
    'Potash feldspar, typical 28; Silica 22; Whiting 12; Kaolin 18; Talc 10; Calcium borosilicate frit 10; + Cobalt carbonate 0.8; + Rutile 4',
  'Verdigris Gate':
    'High-alkali frit 26; Silica 24; Strontium carbonate 14; Kaolin 14; Potash feldspar, typical 22; + Copper carbonate 4; + Titanium dioxide 2',
  'Rust Yard':
    'Potash feldspar, typical 40; Silica 22; Whiting 8; Kaolin 8; Talc 8; Bone ash 8; Calcium borosilicate frit 6; + Red iron oxide 11',
  'Chalk Cut':
    'Soda feldspar, typical 28; Kaolin 24; Dolomite 18; Magnesium carbonate 8; Silica 16; Whiting 6; + Tin oxide 4',
  'Lamp Clear': 'Soda feldspar, typical 42; Silica 18; Whiting 17; Kaolin 10; Calcium borosilicate frit 13',
  Fogman: 'Nepheline syenite 62; Soda ash 8; Ball clay 14; Silica 10; Spodumene 6',
};

/** The recipe of each glaze that has one, by name. */
export const RECIPES: Readonly<Record<string, readonly Line[]>> = Object.fromEntries(
  Object.entries(CARDS).map(([name, card]) => [
    name,
    usableLines(parseRecipe(card.replaceAll('; ', '\n'), BUILT_IN)),
  ]),
);
