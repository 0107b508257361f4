import { cloud, mix, smooth } from '../painter/chance';
import { veilOf, wander } from '../painter/light';
import { BROAD_TO_FINE } from '../painter/paint';
import { hex, lch } from '../painter/plate';
import { shape, sky, type Scene } from '../painter/scene';
import { wandering } from '../painter/strokes';

const fir = (x: number, base: number, h: number, colour: string) => {
  const tiers = Array.from({ length: 7 }, (_, i) => {
    const y = base - h + (h * i) / 7;
    const half = (h * 0.05 + (h * 0.2 * (i + 1)) / 7) * (1 + 0.12 * Math.sin(i * 9 + x));
    return `M${x} ${y - h * 0.05}L${x - half} ${y + h / 6}L${x + half * 0.92} ${y + h / 6.4}Z`;
  });
  return shape(tiers.join('') + `M${x - 5} ${base - 20}h10v30h-10Z`, colour);
};

const far = [80, 190, 260, 395, 1180, 1260, 1372, 1450, 1540]
  .map((x, i) => fir(x, 700 - (i % 3) * 22, 210 + ((i * 53) % 90), hex(0.55, 0.02, 190)))
  .join('');
const near = [30, 150, 1490, 1585]
  .map((x, i) => fir(x, 1010 + (i % 2) * 50, 560 + i * 30, hex(0.33, 0.03, 170)))
  .join('');

/** Fog where the two cars pass: grey, until one looks. */
export const passingLoop: Scene = {
  file: 'passing-loop',
  title: 'Fog at the passing loop',
  maker: 'Dag Solumbry',
  kind: 'master work',
  source: 'Plate 5 of the Talloch picture book, oil on canvas',
  idea: 'All of it is nearly one grey; the sky goes from warm through rose and lavender to a thread of turquoise.',
  width: 1600,
  height: 1120,
  shapes: `<defs>${sky('air', [
    [0, hex(0.76, 0.02, 70)],
    [1, hex(0.72, 0.016, 300)],
  ])}${sky('bank', [
    [0, hex(0.6, 0.02, 140)],
    [1, hex(0.4, 0.03, 110)],
  ])}</defs>
<rect width="1600" height="1120" fill="url(#air)"/>
${shape('M0 600C220 540 420 560 620 590C820 610 1080 560 1600 520V1120H0Z', hex(0.6, 0.014, 230))}
${far}
${shape('M0 760C260 690 480 690 700 740C980 760 1300 690 1600 720V1120H0Z', 'url(#bank)')}
<path d="M760 1120C770 980 776 880 740 790C720 740 716 690 742 650" fill="none" stroke="${hex(0.42, 0.018, 50)}" stroke-width="150"/>
<path d="M880 1120C866 980 850 880 880 800C902 744 900 690 868 650" fill="none" stroke="${hex(0.42, 0.018, 50)}" stroke-width="130"/>
<path d="M700 1120C716 980 726 880 700 790C688 740 692 690 722 650M812 1120C818 980 818 880 778 790C756 740 744 690 760 650" fill="none" stroke="${hex(0.68, 0.012, 240)}" stroke-width="7"/>
<path d="M848 1120C834 980 820 880 846 800C870 744 874 690 850 650M936 1120C910 980 890 880 916 800C938 744 932 690 888 650" fill="none" stroke="${hex(0.68, 0.012, 240)}" stroke-width="7"/>
${shape('M560 640L700 610L706 830L566 860Z', hex(0.44, 0.085, 28))}
${shape('M700 610L748 628L750 822L706 830Z', hex(0.34, 0.06, 26))}
${shape('M552 634L706 600L756 622L750 634L700 616L556 650Z', hex(0.62, 0.02, 60))}
${shape('M582 668L630 658L632 722L584 732ZM646 654L690 645L692 710L648 719Z', hex(0.84, 0.05, 88))}
${shape('M900 560L990 552L996 690L906 700Z', hex(0.52, 0.045, 205))}
${shape('M896 552L992 544L1000 556L900 566Z', hex(0.68, 0.012, 220))}
${shape('M914 584L944 581L946 624L916 627ZM954 580L982 578L984 620L956 623Z', hex(0.82, 0.03, 90))}
<path d="M1120 1120V520M1120 560H1040M1120 590H1050" stroke="${hex(0.36, 0.014, 250)}" stroke-width="12" fill="none"/>
${near}`,
  light: (plate) => {
    // The air itself: warm above, then rose, lavender, and turquoise where the fog lies on the slope.
    const bands: [number, ReturnType<typeof lch>][] = [
      [0, lch(0.78, 0.026, 72)],
      [0.22, lch(0.765, 0.022, 20)],
      [0.38, lch(0.745, 0.02, 310)],
      [0.5, lch(0.735, 0.026, 200)],
      [0.62, lch(0.72, 0.012, 140)],
      [1, lch(0.66, 0.016, 90)],
    ];
    const airAt = (x: number, y: number) => {
      const at = y + 0.035 * cloud(x * 3, y * 4, 51);
      const next = Math.max(
        1,
        bands.findIndex(([edge]) => edge > at),
      );
      const [from, low] = bands[next - 1];
      const [to, high] = bands[next];
      const t = smooth(0, 1, (at - from) / (to - from));
      return { L: mix(low.L, high.L, t), a: mix(low.a, high.a, t), b: mix(low.b, high.b, t) };
    };
    veilOf(plate, airAt, (x, y) => {
      const depth = smooth(1.02, 0.5, y);
      const drift = 0.12 * cloud(x * 4, y * 6, 77);
      return y < 0.47 ? 0.95 : 0.26 + 0.66 * depth + drift;
    });
    wander(plate, 0.006, 9, 41);
  },
  manner: {
    seed: 5507,
    ground: [0.66, 0.006, 0.018],
    layers: BROAD_TO_FINE.map((layer) => ({ ...layer, tolerance: layer.tolerance * 0.42 })),
    handling: { strayL: 0.012, strayAb: 0.006, dry: 0.4, body: 0.8 },
    flow: wandering(4, 26, 3, 8),
    relief: 0.7,
    tooth: 1,
  },
};
