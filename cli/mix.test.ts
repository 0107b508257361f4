import { mixReportSchema, pigmentReportSchema, recipeReportSchema } from '@/contracts/mix-report';
import { prism } from './testing/run-prism';

describe('prism, on paints', () => {
  it('mixes paints, thick and thin', () => {
    const thick = prism('mix', 'PB29:1,PY35:3');
    expect([thick.status, thick.stderr]).toEqual([0, '']);
    const green = mixReportSchema.parse(JSON.parse(thick.stdout));
    expect(green.name).toContain('green');
    expect(green.inGamut).toBe(true);
    const thin = (...args: string[]) =>
      mixReportSchema.parse(JSON.parse(prism('mix', 'PB15:3', ...args).stdout));
    expect(thin('--thin', '0.05').value).toBeGreaterThan(thin().value + 1);
    expect(thin('--thin', '0.05', '--ground', '#c06020').value).toBeLessThan(
      thin('--thin', '0.05').value,
    );
  });

  it('finds recipes, and lists pigments', () => {
    const made = prism('recipe', '#7a5c3e', '--tubes', 'PW6,PB29,PY35,PR108');
    expect(made.status).toBe(0);
    const { recipes } = recipeReportSchema.parse(JSON.parse(made.stdout));
    expect(recipes[0].deltaE).toBeLessThan(2);
    const pairs = prism('recipe', '7a5c3e', '--tubes', 'PW6,PB29,PY35', '--most', '2');
    for (const { parts } of recipeReportSchema.parse(JSON.parse(pairs.stdout)).recipes)
      expect(parts.length).toBeLessThanOrEqual(2);
    const { pigments } = pigmentReportSchema.parse(JSON.parse(prism('pigments').stdout));
    expect(pigments.length).toBeGreaterThanOrEqual(40);
  });

  it('says in one line what is wrong with a mixture', () => {
    for (const [words, ...args] of [
      ['takes a mixture', 'mix'],
      ['PX1', 'mix', 'PX1:2'],
      ['stands for several', 'mix', 'PBr7'],
      ['above 0', 'mix', 'PB29:0'],
      ['from 0 to', 'mix', 'PB29', '--thin', 'x'],
      ['no colour', 'mix', 'PB29', '--ground', 'paper'],
      ['--thin goes with mix', 'recipe', '#808080', '--thin', '1', '--tubes', 'PW6'],
      ['needs --tubes', 'recipe', '#808080'],
      ['no colour', 'recipe', 'grey', '--tubes', 'PW6'],
      ['PX1', 'recipe', '#808080', '--tubes', 'PW6,PX1'],
      ['from 1 to 4', 'recipe', '#808080', '--tubes', 'PW6', '--most', '5'],
      ['takes nothing else', 'pigments', 'PW6'],
    ]) {
      const { status, stderr, stdout } = prism(...args);
      expect([status, stdout]).toEqual([2, '']);
      expect(stderr).toContain(words);
      expect(stderr.trim()).not.toContain('\n');
    }
  }, 120_000);
});
