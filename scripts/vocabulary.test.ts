import { readdirSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import ts from 'typescript';

/**
 * Words that were given up for the terms of the field in code, and for painters' words on the screen
 * (docs/glossary.md), each within the folders where it meant what another word says better.
 */
const IDENTIFIERS: [retired: RegExp, instead: string, ...folders: string[]][] = [
  [/^(Held|hold)$/, 'derivedImages', 'src/workers', 'src/core'],
  [/^homes?$/i, 'representative point', 'src', 'cli'],
  [/^(Tones|[Ll]ots?)$/, 'samples, clusters', 'src/core'],
  [/^(settle|growing|grown)$/, 'refine, growPalette', 'src/core'],
  [/^pieces$/, 'connected components', 'src/core'],
  [/^innermost$/, 'poleOfInaccessibility', 'src'],
  [/^risingOrder$/, 'countingSort', 'src'],
  [/^summed$/, 'integralImage', 'src'],
  [/^layBack$/, 'jointBilateralUpsampling', 'src'],
  [/^steadied$/, 'kuwahara', 'src'],
  [/^(sight|sense)$/i, 'value image, mask', 'src'],
  [/^seen$/, 'mask', 'src/core', 'src/workers'],
  [/^(topics?|quests?|crafts?)$/i, 'tab', 'src', 'e2e'],
  [/^(Aspect|aspects)$/, 'tab', 'src/screens/desk'],
  [/^untold$/i, 'defaults', 'src', 'cli', 'demo'],
  [/^asked$/, 'query, settings', 'src', 'cli', 'e2e'],
  [/^faults?$/i, 'error, problem', 'src', 'cli', 'e2e'],
  [/^breathe$/, 'yieldToEventLoop', 'src'],
  [/^(MOST|LEAST|FEWEST|PLAIN)_/, 'MAX_, MIN_, DEFAULT_', 'src', 'cli', 'e2e', 'demo', 'scripts'],
  [/^shouts$/, 'tooStrong', 'src'],
  [/^(Holding|Keeping)$/, 'AccentPolicy, DuplicatePolicy', 'src'],
  [/^(bringIn|broughtIn)$/, 'importPicture, importFiles', 'src', 'cli', 'e2e'],
];

/** What screens said once, and say in other words now. */
const LABELS: [retired: RegExp, instead: string][] = [
  [/^parting$/i, 'separation'],
  [/^spread$/i, 'range; part the hues'],
  [/^lift (the quiet|all)$/i, 'strengthen greys; strengthen all'],
  [/\bpush(ed|es|ing)?\b/i, 'strengthen'],
  [/^protect$/i, 'leave alone'],
  [/cast of the whole/i, 'overall tint'],
  [/\bmoved \d|, moved /i, 'clear shift'],
  [/nothing to mind/i, 'no warnings'],
  [/what is this\?/i, 'test my eye'],
  [
    /^(take|prune|weigh|fit|limit)$/i,
    'pick; merge near-duplicates; proportions; test on the picture',
  ],
  [
    /\bswing\b|^drift$|^dull ends$|^turn \d$/i,
    'rotate hue; warm lights, cool darks; grey the ends',
  ],
  [
    /\ba stray\b|put right by hand|\bby brightness\b|^by lightness$/i,
    'outside the scheme; correct',
  ],
  [/^seems$/i, 'reads as'],
  [/carry out|carried out|\bbring (\w+ )?in\b|brought in/i, 'export; import'],
  [/^the tides?$/i, 'hues in light and shadow'],
];
/** Names by which code and stored documents know a thing; no screen shows them. */
const KEYS = new Set([
  'spread',
  'push',
  'pushed',
  'fit',
  'take',
  'limit',
  'brought in',
  'swing',
  'drift',
]);

function sources(folder: string): string[] {
  return readdirSync(folder).flatMap((name) => {
    const file = path.join(folder, name);
    if (statSync(file).isDirectory()) return name === 'node_modules' ? [] : sources(file);
    return /\.tsx?$/.test(name) ? [file] : [];
  });
}

function everyNode(file: string, visit: (node: ts.Node) => void): void {
  const walk = (node: ts.Node): void => {
    visit(node);
    ts.forEachChild(node, walk);
  };
  walk(ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true));
}

/** Every identifier of a file, once. */
function identifiersOf(file: string): Set<string> {
  const found = new Set<string>();
  everyNode(file, (node) => {
    if (ts.isIdentifier(node)) found.add(node.text);
  });
  return found;
}

/** What a file may put on the screen: text between tags, and strings that are no address, class or type. */
function textsOf(file: string): string[] {
  const found: string[] = [];
  everyNode(file, (node) => {
    if (ts.isJsxText(node)) found.push(node.text);
    else if (ts.isTemplateExpression(node))
      found.push(
        [node.head.text, ...node.templateSpans.map(({ literal }) => literal.text)].join('…'),
      );
    else if (ts.isStringLiteralLike(node)) {
      if (ts.isImportDeclaration(node.parent) || ts.isLiteralTypeNode(node.parent)) return;
      if (ts.isJsxAttribute(node.parent) && node.parent.name.getText() === 'className') return;
      found.push(node.text);
    }
  });
  return found.map((text) => text.replace(/\s+/g, ' ').trim()).filter((text) => text !== '');
}

it('code keeps to the terms of the field', () => {
  const names = new Map<string, Set<string>>();
  const found: string[] = [];
  for (const [retired, instead, ...folders] of IDENTIFIERS)
    for (const file of folders.flatMap(sources)) {
      const own = names.get(file) ?? identifiersOf(file);
      names.set(file, own);
      for (const name of own) if (retired.test(name)) found.push(`${file}: ${name} (${instead})`);
    }
  expect(names.size).toBeGreaterThan(500);
  expect(found).toEqual([]);
});

it('screens keep to painters’ words', () => {
  const files = ['src/screens', 'src/ui']
    .flatMap(sources)
    .filter((file) => !/\.test\.tsx?$|\/testing\//.test(file));
  const found = files.flatMap((file) =>
    textsOf(file)
      .filter((text) => !KEYS.has(text))
      .flatMap((text) =>
        LABELS.filter(([retired]) => retired.test(text)).map(
          ([, instead]) => `${file}: ${text} (${instead})`,
        ),
      ),
  );
  expect(files.length).toBeGreaterThan(100);
  expect(found).toEqual([]);
});
