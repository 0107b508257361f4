import { settingsSchema } from '@/contracts/settings';
import { answering } from '@/server/respond';
import { saveSettings } from '@/server/settings/settings';

export const PUT = answering(async (request: Request) => {
  await saveSettings(settingsSchema.parse(await request.json()));
  return new Response(null, { status: 204 });
});
