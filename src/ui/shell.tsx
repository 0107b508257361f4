'use client';

import { ChevronDown } from 'lucide-react';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { DropdownMenu } from 'radix-ui';
import { useEffect, type ReactNode } from 'react';
import { SURROUNDS } from '@/contracts/settings';
import { Button } from './button';
import { CopyFailure } from './copy-failure';
import { useSettings } from './settings';
import { typing } from './typing';

const ROOMS = [
  { href: '/', title: 'Wall' },
  { href: '/drawers', title: 'Drawers' },
  { href: '/bench', title: 'Bench' },
  { href: '/colourways', title: 'Colourways' },
  { href: '/practice', title: 'Practice' },
  { href: '/log', title: 'Log' },
];

const SURROUND_TITLES = { paper: 'paper', grey: 'studio grey', night: 'night' };
const SURROUND_FILL = { paper: '#e8e8e8', grey: '#848484', night: '#2e2e2e' };

/** The line along the top of every room: the name, the rooms, what the room adds, the surround. */
export function TopLine({ children }: { children?: ReactNode }) {
  const path = usePathname();
  return (
    <header className="flex min-h-12 shrink-0 flex-wrap items-center gap-x-1 border-b bg-panel px-3 sm:h-12 sm:flex-nowrap sm:gap-2 sm:px-4">
      <Link
        href="/"
        className="mr-0.5 flex h-10 shrink-0 items-center font-serif text-lg sm:text-xl font-semibold whitespace-nowrap italic sm:mr-3"
        aria-label="Bold Prism, to the Wall"
      >
        Bold Prism
      </Link>
      <Rooms path={path} />
      {/* On a phone what the room adds has a line of its own. */}
      <div className="flex min-w-0 grow items-center gap-2 empty:hidden max-sm:order-last max-sm:basis-full max-sm:pb-1.5 max-sm:empty:hidden">
        {children}
      </div>
      <CopyFailure />
      <div className="ml-auto">
        <SurroundChoice />
      </div>
    </header>
  );
}

const isHere = (path: string, href: string) =>
  href === '/' ? path === '/' : path.startsWith(href);

/** The rooms in a row, or behind one button where they don't fit. */
function Rooms({ path }: { path: string }) {
  const here = ROOMS.find(({ href }) => isHere(path, href));
  return (
    <nav aria-label="Rooms" className="flex">
      {ROOMS.map(({ href, title }) => (
        <Link
          key={href}
          href={href}
          aria-current={isHere(path, href) ? 'page' : undefined}
          className={`flex h-12 min-w-10 items-center justify-center border-b-2 px-2.5 max-lg:hidden ${isHere(path, href) ? 'border-ink font-semibold' : 'border-transparent hover:border-line'}`}
        >
          {title}
        </Link>
      ))}
      <DropdownMenu.Root modal={false}>
        <DropdownMenu.Trigger asChild>
          <Button weight="quiet" aria-label="Rooms" className="font-semibold lg:hidden">
            {here?.title ?? 'Rooms'}
            <ChevronDown size={16} aria-hidden />
          </Button>
        </DropdownMenu.Trigger>
        {/* No portal: what is opened stays within the page's landmarks. */}
        <DropdownMenu.Content
          align="start"
          className="z-50 min-w-44 border border-ink bg-sheet lg:hidden"
        >
          {ROOMS.map(({ href, title }) => (
            <DropdownMenu.Item key={href} asChild>
              <Link
                href={href}
                aria-current={isHere(path, href) ? 'page' : undefined}
                className={`flex min-h-11 items-center px-4 outline-none data-[highlighted]:bg-ink data-[highlighted]:text-sheet ${isHere(path, href) ? 'font-semibold' : ''}`}
              >
                {title}
              </Link>
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Root>
    </nav>
  );
}

/** The grey that pictures stand on; S goes to the next one. */
function SurroundChoice() {
  const { settings, change } = useSettings();
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      if (event.key.toLowerCase() !== 's' || event.ctrlKey || event.metaKey || event.altKey) return;
      if (typing(event)) return;
      const next = (SURROUNDS.indexOf(settings.surround) + 1) % SURROUNDS.length;
      change({ surround: SURROUNDS[next] });
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, [settings.surround, change]);
  return (
    <div role="radiogroup" aria-label="Surround" className="flex items-center">
      {SURROUNDS.map((surround) => (
        <button
          key={surround}
          type="button"
          role="radio"
          aria-checked={settings.surround === surround}
          aria-label={SURROUND_TITLES[surround]}
          title={`Surround: ${SURROUND_TITLES[surround]}`}
          onClick={() => change({ surround })}
          className="flex h-10 w-8 items-center justify-center"
        >
          <span
            className={`block border border-ink ${settings.surround === surround ? 'h-6 w-6 outline-2 outline-offset-1 outline-ink' : 'h-[18px] w-[18px]'}`}
            style={{ background: SURROUND_FILL[surround] }}
          />
        </button>
      ))}
    </div>
  );
}
