import { eventStream } from '$lib/server/event-stream';
import { listenToJob } from '$lib/server/live';

/** What others change on a job, live, as server-sent events. */
export const GET = ({ params }) => eventStream((send) => listenToJob(params.id, send));
