import { freeBytes, requireRoom } from './room';

const was = process.env.PRISM_RESERVE_MB;
afterEach(() => {
  if (was === undefined) delete process.env.PRISM_RESERVE_MB;
  else process.env.PRISM_RESERVE_MB = was;
});

describe('room on the disk', () => {
  it('is there for a change, and not for more than there is', async () => {
    const free = await freeBytes();
    expect(free).toBeGreaterThan(0);
    process.env.PRISM_RESERVE_MB = '0';
    await requireRoom();
    await expect(requireRoom(free + 1e12)).rejects.toMatchObject({ code: 'no-room', status: 507 });
  });

  it('is left for deleting when changes are refused already', async () => {
    const megabytes = (await freeBytes()) / 1024 / 1024;
    process.env.PRISM_RESERVE_MB = String(megabytes * 2);
    await expect(requireRoom()).rejects.toThrow(/nearly full/);
    await requireRoom(0, true);
    process.env.PRISM_RESERVE_MB = String(megabytes * 4);
    await expect(requireRoom(0, true)).rejects.toThrow(/nearly full/);
  });
});
