import { Button, Checkbox, InputNumber, Segmented, Slider } from 'antd';
import { useEffect } from 'react';
import { FileButton } from '../ui/FileButton';
import { useEditedValue } from '../values/editedValue';
import { useReference, type Taking } from './reference';
import './Reference.css';

const TAKINGS: { value: Taking; label: string; title: string }[] = [
  { value: 'colour', label: 'Colour', title: 'Take a colour from the picture' },
  { value: 'length', label: 'Length', title: 'Measure a width or a gap in the picture' },
  { value: 'radius', label: 'Radius', title: 'Measure a corner, from where its bow begins to where it ends' },
];

/** How the reference picture lies over the stage, and what is taken from it. */
export function ReferenceBar({ viewport, onClose }: { viewport: number; onClose: () => void }) {
  const { picture, problem, isReading, width, x, y, opacity, differs, taking, taken, read, set } = useReference();
  const edited = useEditedValue((e) => e.name);
  // Nothing is taken any more once the bar is gone.
  useEffect(() => () => set({ taking: null }), [set]);
  const number = (label: string, value: number, change: (value: number) => void, least: number) => (
    <label className="reference-number">
      {label}{' '}
      <InputNumber
        size="small"
        controls={false}
        aria-label={`${label} of the reference picture`}
        min={least}
        max={20_000}
        precision={0}
        value={value}
        onChange={(next) => next !== null && change(next)}
        changeOnWheel={false}
      />
    </label>
  );
  return (
    <div className="reference-bar" role="group" aria-label="Reference picture">
      <FileButton
        label={picture ? 'Another picture' : 'Choose a picture'}
        kinds="PNG, JPEG, WebP or SVG; it stays in this window"
        accept="image/*"
        busy={isReading}
        one
        onFiles={([file]) => file && void read(file, viewport)}
      />
      {picture && (
        <>
          <span className="reference-name" title={picture.name}>
            {picture.name}
          </span>
          <Slider
            className="reference-opacity"
            ariaLabelForHandle="Opacity of the reference picture"
            min={0}
            max={100}
            value={opacity}
            tooltip={{ formatter: (value) => `${value} %` }}
            onChange={(value: number) => set({ opacity: value })}
          />
          <Checkbox checked={differs} onChange={(event) => set({ differs: event.target.checked })}>
            difference
          </Checkbox>
          {number('left', x, (value) => set({ x: value }), -20_000)}
          {number('top', y, (value) => set({ y: value }), -20_000)}
          {number('wide', width, (value) => set({ width: value }), 1)}
          <Segmented
            size="small"
            aria-label="What is taken from the reference picture"
            value={taking ?? 'off'}
            options={[{ value: 'off', label: 'Look', title: 'Take nothing' }, ...TAKINGS]}
            onChange={(value) => set({ taking: value === 'off' ? null : (value as Taking) })}
          />
          <span className="reference-taken" role="status">
            {taken && (
              <>
                {taken.startsWith('#') && <span className="swatch" style={{ background: taken }} />} <strong>{taken}</strong>
              </>
            )}
            {taking && (edited ? ` goes into ${edited}` : ' open a value to put it there')}
          </span>
        </>
      )}
      {!picture && !problem && <span className="quiet">A mock-up to hold the stage against. It stays in this window.</span>}
      {problem && (
        <span className="problem" role="alert">
          {problem}
        </span>
      )}
      <Button size="small" className="reference-close" aria-label="Put the reference picture away" onClick={onClose}>
        ×
      </Button>
    </div>
  );
}
