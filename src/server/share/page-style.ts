/** How the page looks: neutral rooms, the chips the only colour, one column on a phone and four on a desk. */
export function pageStyle({
  serif,
  sans,
  bold,
}: {
  serif: string;
  sans: string;
  bold: string;
}): string {
  return `
@font-face { font-family: 'Page Serif'; src: url(${serif}) format('woff2'); font-weight: 500; }
@font-face { font-family: 'Page Sans'; src: url(${sans}) format('woff2'); font-weight: 400; }
@font-face { font-family: 'Page Sans'; src: url(${bold}) format('woff2'); font-weight: 600; }
:root { --room: #e8e8e8; --sheet: #fdfdfd; --ink: #151515; --soft: #4f4f4f; --line: #bdbdbd; color-scheme: light; }
:root:has(#grey:checked) { --room: #848484; --sheet: #efefef; --ink: #151515; --soft: #404040; --line: #9a9a9a; }
:root:has(#night:checked) { --room: #2e2e2e; --sheet: #1f1f1f; --ink: #ececec; --soft: #b9b9b9; --line: #575757; color-scheme: dark; }
* { box-sizing: border-box; }
body { margin: 0; background: var(--room); color: var(--ink); font: 17px/1.45 'Page Sans', system-ui, sans-serif; font-variant-numeric: tabular-nums; }
main { max-width: 70rem; margin: 0 auto; background: var(--sheet); min-height: 100vh; padding: clamp(1.1rem, 4vw, 3.5rem); }
header { display: grid; gap: 1.5rem 3rem; align-items: end; }
h1, h2 { font-family: 'Page Serif', Georgia, serif; font-weight: 500; overflow-wrap: anywhere; }
h1 { font-size: clamp(2rem, 6vw, 3.6rem); line-height: 1.05; margin: 0 0 .6rem; letter-spacing: -.01em; }
h2 { font-size: 1.35rem; line-height: 1.2; margin: .6rem 0 0; }
p { margin: 0; overflow-wrap: anywhere; }
.note { font-size: 1.15rem; max-width: 40rem; white-space: pre-line; }
.recipe { margin-top: .4rem; display: flex; gap: .6rem; align-items: flex-start; }
.recipe i { flex: none; width: 1.6rem; height: 1.6rem; }
:root:has(#values:checked) .recipe i { display: none; }
.cautions { margin: 2rem 0; border-left: 4px solid var(--ink); padding-left: 1rem; }
.soft, dt { color: var(--soft); }
header img { display: block; width: 100%; max-width: 24rem; }
.stave { display: block; width: 100%; height: clamp(9rem, 26vw, 17rem); margin: 2.2rem 0 1.2rem; }
.stave line { stroke: var(--line); stroke-width: 1; vector-effect: non-scaling-stroke; }
fieldset { border: 0; padding: 0; margin: 0 0 1.6rem; display: flex; flex-wrap: wrap; gap: .3rem 1.6rem; }
legend { position: absolute; clip-path: inset(50%); }
label { min-height: 44px; display: inline-flex; align-items: center; gap: .5rem; cursor: pointer; }
input { width: 20px; height: 20px; accent-color: var(--ink); }
ol { list-style: none; padding: 0; margin: 0; display: grid; gap: 2rem 1.4rem; grid-template-columns: repeat(auto-fill, minmax(min(100%, 14.5rem), 1fr)); }
.chip { display: flex; height: 9rem; }
.chip i { flex: 1; }
.chip i + i { flex: 0 0 22%; }
:root:has(#values:checked) .chip i:first-child { display: none; }
:root:has(#values:checked) .chip i + i { flex: 1; }
:root:has(#values:checked) .stave .colour { display: none; }
:root:not(:has(#values:checked)) .stave .grey { display: none; }
dl { margin: .35rem 0 0; display: grid; grid-template-columns: auto 1fr; gap: 0 .8rem; font-size: .95rem; }
dd { margin: 0; user-select: all; overflow-wrap: anywhere; }
footer { border-top: 1px solid var(--ink); margin-top: 3rem; padding-top: 1rem; display: flex; flex-wrap: wrap; gap: .5rem 2rem; justify-content: space-between; }
a { color: inherit; min-height: 44px; display: inline-flex; align-items: center; }
:focus-visible { outline: 3px solid var(--ink); outline-offset: 3px; }
@media (min-width: 46rem) { header { grid-template-columns: minmax(0, 1fr) minmax(0, 20rem); } header:not(:has(img)) { grid-template-columns: 1fr; } }
@media print { :root { --room: #fff; --sheet: #fff; } main { max-width: none; padding: 0; } fieldset, footer a { display: none; } li { break-inside: avoid; } .chip i, .stave rect { print-color-adjust: exact; } }
`;
}
