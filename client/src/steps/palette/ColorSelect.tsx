import { Select } from 'antd';
import { Shortened } from '../../ui/Shortened';
import type { ColorWithSteps } from '../../site/useColorSteps';

interface Props {
  label: string;
  /** The name of a colour of the palette with its step, or what else is offered. */
  value: string;
  colors: readonly ColorWithSteps[];
  /** What is offered before the colours. */
  first?: { label: string; options: { value: string; label: string }[] };
  className?: string;
  /** What is shown of the chosen one; null for a swatch and its name. */
  shown?: React.ReactNode;
  onChange: (value: string) => void;
  onActive?: (value: string | null | undefined) => void;
  onOpenChange?: (open: boolean) => void;
}

/** A choice among the colours of the palette and their steps. */
export function ColorSelect({ label, value, colors, first, className = '', shown, ...heard }: Props) {
  const hexOf = (name: string) => colors.flatMap((c) => c.steps).find((step) => step.name === name)?.hex;
  return (
    <Select
      aria-label={label}
      variant="borderless"
      className={className}
      value={value}
      options={[
        ...(first ? [first] : []),
        ...colors.map(({ name, steps }) => ({ label: name, options: steps.map((step) => ({ value: step.name, label: step.name })) })),
      ]}
      showSearch={{ optionFilterProp: 'label', filterSort: byWhole }}
      popupMatchSelectWidth={240}
      listHeight={360}
      labelRender={() =>
        shown ?? (
          <span className="swatched">
            <Swatch hex={hexOf(value) ?? value} /> <Shortened text={value} />
          </span>
        )
      }
      optionRender={(option) => (
        <span className="swatched">
          <Swatch hex={hexOf(String(option.value))} /> <Shortened text={String(option.label)} />
        </span>
      )}
      {...heard}
    />
  );
}

/** What was typed whole comes before what only holds it: a colour before its steps. */
const byWhole = (a: { label?: React.ReactNode }, b: { label?: React.ReactNode }, { searchValue }: { searchValue: string }): number => {
  const isWhole = ({ label }: { label?: React.ReactNode }) => Number(String(label).toLowerCase() === searchValue.trim().toLowerCase());
  return isWhole(b) - isWhole(a);
};

function Swatch({ hex }: { hex: string | undefined }) {
  return hex === undefined ? null : <span className="swatch" style={{ background: hex }} />;
}
