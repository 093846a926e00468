/** Where a thing of the foundations is worked on: the step, and what stands in the address there; null where it has no step of its own yet. */
export function stepOfKind(kind: string, id: string): { step: string; change: Record<string, string> } | null {
  switch (kind) {
    case 'color':
      return { step: 'palette', change: { view: 'colours', color: id } };
    case 'role':
      return { step: 'palette', change: { view: 'schemes', role: id } };
    case 'scheme':
      return { step: 'palette', change: { view: 'schemes', scheme: id } };
    case 'space':
      return { step: 'space', change: { view: 'scale', space: id } };
    case 'pageSpacing':
      return { step: 'space', change: { view: 'page' } };
    case 'paper':
      return { step: 'space', change: { view: 'paper' } };
    case 'border':
      return { step: 'edges', change: { view: 'borders', border: id } };
    case 'radius':
      return { step: 'edges', change: { view: 'radii', radius: id } };
    case 'shadow':
      return { step: 'edges', change: { view: 'shadows', shadow: id } };
    case 'gradient':
      return { step: 'fills', change: { view: 'gradients', gradient: id } };
    case 'background':
      return { step: 'fills', change: { view: 'backgrounds', background: id } };
    case 'picture':
      return { step: 'fills', change: { view: 'pictures', picture: id } };
    case 'clip':
      return { step: 'fills', change: { view: 'clips', clip: id } };
    case 'duration':
      return { step: 'edges', change: { view: 'durations', duration: id } };
    case 'easing':
      return { step: 'edges', change: { view: 'easings', easing: id } };
    case 'textStyle':
      return { step: 'type', change: { view: 'styles', style: id } };
    default:
      return null;
  }
}
