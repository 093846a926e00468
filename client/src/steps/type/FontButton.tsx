import { FileButton } from '../../ui/FileButton';

interface Props {
  label: string;
  busy: boolean;
  one?: boolean;
  onFiles: (files: File[]) => void;
}

/** A button that opens the choice of font files. */
export function FontButton(props: Props) {
  return <FileButton kinds="WOFF2, WOFF, TTF or OTF" accept=".woff2,.woff,.ttf,.otf" {...props} />;
}
