'use client';

import { useSearchParams } from 'next/navigation';
import { useState } from 'react';
import type { Wheel } from '@/core/colour/wheel';
import { addressOf } from '@/ui/address';
import { useAddress } from '@/ui/use-address';
import { findingCodec, type Finding } from './finding';

/** The search of the Wall; the address holds it. */
export function useFinding(wheel: Wheel): [Finding, (finding: Finding) => void] {
  const query = useSearchParams();
  const codec = findingCodec(wheel);
  const [finding, setFinding] = useState(() => codec.read(new URLSearchParams(query)));
  useAddress(addressOf(codec, finding));
  return [finding, setFinding];
}
