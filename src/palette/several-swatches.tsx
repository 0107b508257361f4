'use client';

import { hexFromOklab } from '@/core/colour/hex';
import { ROLES, type Role } from '@/core/palette/proportion';
import { editSwatches, mergeSwatches } from '@/study/palette-edits';
import { Button } from '@/ui/button';
import { Select } from '@/ui/select';
import { capital, count } from '@/ui/words';
import { Fold, Section } from '@/ui/panel-parts';
import { MoveAll } from './move-all';
import { SideBySide } from './side-by-side';
import { usePaletteHost, useSwatches } from './host';
import { newId } from '@/study/edits';

/** More are too narrow to be told apart. */
const MAX_SHOWN = 32;

/** What can be done with several swatches at once. */
export function SeveralSwatches({ ids }: { ids: readonly string[] }) {
  const host = usePaletteHost();
  const swatches = useSwatches();
  const all = new Set(ids);
  const members = swatches.filter(({ id }) => all.has(id));
  const locked = members.every((swatch) => swatch.locked);
  const role = members.every((swatch) => swatch.role === members[0]?.role)
    ? (members[0]?.role ?? '')
    : '';
  return (
    <Section title={`${capital(count(members.length))} swatches`} aside="together">
      <div className="mb-2 flex h-9">
        {members.slice(0, MAX_SHOWN).map(({ id, name, colour }) => (
          <span
            key={id}
            className="grow"
            title={name}
            style={{ background: hexFromOklab(colour) }}
          />
        ))}
      </div>
      <MoveAll ids={ids} />
      <Fold title="Side by side" aside="in colour and in grey" open={members.length <= 3}>
        <SideBySide swatches={members.slice(0, MAX_SHOWN)} />
      </Fold>
      <div className="flex flex-wrap gap-2">
        <Button
          weight="strong"
          className="grow"
          onClick={() => {
            host.change((document) => mergeSwatches(document, all, newId));
            host.select({ selected: null, chosen: [] });
          }}
        >
          Merge
        </Button>
        {host.hasPicture && (
          <Button
            className="grow"
            onClick={() =>
              host.change((document) => editSwatches(document, all, { locked: !locked }))
            }
          >
            {locked ? 'Unlock' : 'Lock'}
          </Button>
        )}
        <Button className="grow" onClick={() => host.remove(ids)}>
          Delete
        </Button>
        <Select
          label="What they are for"
          value={role}
          options={[
            { value: '', title: 'no role' },
            ...ROLES.map((one) => ({ value: one, title: one })),
          ]}
          onChange={(next) =>
            host.change((document) =>
              editSwatches(document, all, { role: next === '' ? null : (next as Role) }),
            )
          }
        />
        <Button weight="quiet" onClick={() => host.select({ selected: null, chosen: [] })}>
          Done
        </Button>
      </div>
    </Section>
  );
}
