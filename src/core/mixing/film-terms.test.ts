import fc from 'fast-check';
import { filmTerms } from './film-terms';
import { filmReflectance } from './kubelka-munk';
import { tubesOf, TWELVE } from './testing/mixtures';

it('a film by its terms is the film of the general solution', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...tubesOf(TWELVE)),
      fc.double({ min: 0.001, max: 3, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      ({ optics }, coat, ground) => {
        const { a, slope } = filmTerms(optics, coat);
        for (const band of [0, 9, 18, 35]) {
          const film = (1 - ground * (a[band] - slope[band])) / (a[band] - ground + slope[band]);
          expect(film).toBeCloseTo(
            filmReflectance(optics.K[band], optics.S[band], coat * 5, ground),
            6,
          );
        }
      },
    ),
  );
});
