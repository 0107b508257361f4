'use client';

import { useEffect, useState } from 'react';
import { picturePlaces, type PicturePlace } from '@/core/drills/picture-places';
import { randomFrom } from '@/core/seeded';
import { hrefOf } from '@/contracts/endpoints/endpoint';
import { endpoints } from '@/contracts/endpoints/endpoints';
import { fetchPicture } from '@/workers/browser/fetch-picture';

/** Places that each picture lends. */
const PLACES = 16;

/** Places of some pictures, as they come in; a picture that can't be fetched lends none: its palette is asked about. A seed makes them always the same. */
export function usePlaces(
  pictures: readonly { id: string; title: string }[],
  seed: number | null,
): PicturePlace[] {
  const [places, setPlaces] = useState<PicturePlace[]>([]);
  const key = JSON.stringify(pictures);
  useEffect(() => {
    let isStopped = false;
    const random = seed === null ? Math.random : randomFrom(seed);
    const read = async () => {
      for (const picture of JSON.parse(key) as { id: string; title: string }[]) {
        const href = hrefOf(endpoints.getPicture, { id: picture.id, rendition: 'working' });
        const pixels = await fetchPicture(href).catch(() => null);
        if (isStopped) return;
        if (!pixels) continue;
        const found = picturePlaces(pixels, picture, PLACES, random);
        setPlaces((was) => [...was, ...found]);
      }
    };
    void read();
    return () => {
      isStopped = true;
      setPlaces([]);
    };
  }, [key, seed]);
  return places;
}
