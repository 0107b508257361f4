import type { Metadata, Viewport } from 'next';
import type { ReactNode } from 'react';
import { Toaster } from 'sonner';
import { getSettings } from '@/server/settings/settings';
import { QueryProvider } from '@/ui/queries';
import { SettingsProvider } from '@/ui/settings';
import './globals.css';

export const metadata: Metadata = {
  title: { default: 'Bold Prism', template: '%s · Bold Prism' },
  description: 'A study desk for colour.',
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };
// Every page shows what is in the store now.
export const dynamic = 'force-dynamic';

export default async function Layout({ children }: { children: ReactNode }) {
  const settings = await getSettings();
  return (
    <html lang="en" data-surround={settings.surround}>
      <body>
        <QueryProvider>
          <SettingsProvider initial={settings}>{children}</SettingsProvider>
        </QueryProvider>
        <Toaster position="bottom-center" toastOptions={{ unstyled: true, className: 'notice' }} />
      </body>
    </html>
  );
}
