/** A file dropped where nothing takes it would lead the window away from the site: it is let fall instead. */
export function keepHere(): void {
  const hold = (event: DragEvent) => {
    if (event.defaultPrevented || !event.dataTransfer?.types.includes('Files')) return;
    if ((event.target as Element).matches('input[type="file"]')) return;
    event.preventDefault();
    event.dataTransfer.dropEffect = 'none';
  };
  window.addEventListener('dragover', hold);
  window.addEventListener('drop', hold);
}
