import type { ShelfTube, Standing } from '@/contracts/shelf';
import { STANDINGS } from '@/contracts/shelf';
import { TubeStave } from '@/materials/tube-stave';
import type { MixingTube } from '@/study/shelf';
import { Select } from '@/ui/select';
import { STANDING_TITLES } from './shelf-order';

interface Props {
  tube: ShelfTube;
  mixing: MixingTube;
  isOpen: boolean;
  onOpen: () => void;
  onStanding: (standing: Standing) => void;
}

const ROW_STAVE = 56;
/** Name, what it does, where it is; on a phone what it does has a line of its own. */
export const TUBE_GRID =
  'grid grid-cols-[minmax(0,1fr)_9rem] gap-x-4 sm:grid-cols-[minmax(0,15rem)_minmax(0,1fr)_9rem]';

/** A tube of the shelf: what it is called, what it does, and where it is. */
export function TubeRow({ tube, mixing, isOpen, onOpen, onStanding }: Props) {
  return (
    <li className={`${TUBE_GRID} items-center border-b py-1.5 ${isOpen ? 'bg-faint' : ''}`}>
      <button
        type="button"
        aria-expanded={isOpen}
        onClick={onOpen}
        className="min-h-10 min-w-0 px-2 text-left"
      >
        <span
          className={`block truncate text-[15px] ${isOpen ? 'font-semibold' : ''} ${tube.standing === 'palette' ? '' : 'text-soft italic'}`}
        >
          {tube.name}
        </span>
        <span className="block truncate text-sm text-soft">
          {[tube.pigments.join(' + '), tube.maker, tube.number].filter(Boolean).join(', ')}
        </span>
      </button>
      <div className="bg-sheet max-sm:order-last max-sm:col-span-2">
        <TubeStave name={tube.name} optics={mixing.optics} height={ROW_STAVE} />
      </div>
      <div className="pr-2">
        <Select
          label={`Where ${tube.name} is`}
          value={tube.standing}
          options={STANDINGS.map((value) => ({ value, title: STANDING_TITLES[value] }))}
          onChange={onStanding}
        />
      </div>
    </li>
  );
}
