import type { ColourStudy } from '@/core/measure/colour-study';
import type { ValueReading } from '@/core/measure/values';
import type { TraySwatch } from './study';

/** A study with its stored readings, as it stands beside another; what depends on the wheel is read on the person's. */
export interface ComparedStudy {
  id: string;
  title: string;
  maker: string;
  pictureId: string;
  swatches: TraySwatch[];
  values: ValueReading;
  colours: ColourStudy;
}
