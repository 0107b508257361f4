import { createStudySchema } from '@/contracts/study';
import { answering } from '@/server/respond';
import { createStudy, listStudies } from '@/server/studies/studies';

export const GET = answering(async () => Response.json(await listStudies()));

export const POST = answering(async (request: Request) => {
  const { pictureId } = createStudySchema.parse(await request.json());
  return Response.json({ id: await createStudy(pictureId) }, { status: 201 });
});
