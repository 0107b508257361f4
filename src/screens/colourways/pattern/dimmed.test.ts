import { dimmed } from './dimmed';

it('all but what is pointed at goes grey, whatever it was given', () => {
  const { map, laid } = dimmed(
    { map: new Map([['#ff0000', '#00ff00']]), laid: '#808080' },
    [{ hex: '#ff0000' }, { hex: '#0000ff' }],
    ['#ff0000'],
  );
  expect(map.get('#ff0000')).toBe('#00ff00');
  // 84 % of the way to middle grey.
  expect(map.get('#0000ff')).toBe('#6c6c94');
  expect(laid).toBe('#808080');
  expect(dimmed({ map: new Map(), laid: null }, [], []).laid).toBeNull();
});
