import { api, RequestFailed, type ProblemDetails } from '../../api/client';

/**
 * Brings a deleted site back.
 * @throws RequestFailed where its name is another's by now, or the server did not answer
 */
export async function restore(slug: string): Promise<void> {
  const answer = await api.POST('/api/sites/{slug}/restored', { params: { path: { slug } } }).catch(() => null);
  if (!answer) throw new RequestFailed(undefined, 0);
  if (answer.error) throw new RequestFailed(answer.error as ProblemDetails, answer.response.status);
}
