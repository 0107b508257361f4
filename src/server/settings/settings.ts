import { eq } from 'drizzle-orm';
import { DEFAULT_SETTINGS, settingsSchema, type Settings } from '@/contracts/settings';
import { database } from '../db/client';
import { setting } from '../db/schema';

const PERSON = 'person';

/** The person's settings; a stored one that no longer fits its contract counts as not there. */
export async function getSettings(): Promise<Settings> {
  const db = await database();
  const [row] = await db.select().from(setting).where(eq(setting.id, PERSON));
  const parsed = settingsSchema.safeParse({ ...DEFAULT_SETTINGS, ...row?.value });
  return parsed.success ? parsed.data : DEFAULT_SETTINGS;
}

export async function saveSettings(value: Settings): Promise<void> {
  const db = await database();
  await db
    .insert(setting)
    .values({ id: PERSON, value })
    .onConflictDoUpdate({ target: setting.id, set: { value } });
}
