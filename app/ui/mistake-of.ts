/** The sentence of an answer that refuses: as JSON from a route, or as text from what stands before them. */
export async function mistakeOf(response: Response): Promise<{ sentence?: string; field?: string }> {
  const text = await response.text().catch(() => '');
  if (!response.headers.get('content-type')?.includes('json'))
    return response.headers.get('content-type')?.includes('text/plain') && text.length < 400 ? { sentence: text } : {};
  try {
    const { mistake } = JSON.parse(text) as { mistake?: { sentence: string; field: string } };
    return { sentence: mistake?.sentence, field: mistake?.field };
  } catch {
    return {};
  }
}
