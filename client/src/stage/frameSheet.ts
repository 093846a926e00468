import type { TrialAnswer } from '../api/client';
import { changedSheet, type Sheet } from '../site/sheet';

/** The stage's sheets inside a frame: the generated one and the overrides, changed rule by rule while the hand moves. */
export class FrameSheet {
  private readonly document: Document;
  private rules = new Map<string, CSSStyleRule>();
  private touched = new Map<string, { rule: CSSStyleRule; name: string; value: string }>();
  private shown: Sheet | null = null;
  private wholeSheetTried = false;
  private overridesTried = false;

  constructor(document: Document) {
    this.document = document;
  }

  /** Shows what is stored. */
  show(sheet: Sheet): void {
    if (this.shown === sheet) {
      this.clearTrial();
      return;
    }
    const before = this.shown;
    this.shown = sheet;
    if (!before || this.wholeSheetTried || (before.generated !== sheet.generated && !this.replaceRules(before, sheet)))
      this.swap('sheet', sheet.generated, sheet.keys);
    else this.restoreTouched();
    if (!before || before.overrides !== sheet.overrides || this.overridesTried) this.swap('overrides', sheet.overrides);
    this.wholeSheetTried = false;
    this.overridesTried = false;
  }

  /** Shows a trial: only what differs from what is stored. */
  try(trial: TrialAnswer): void {
    if (trial.sheet && this.shown) {
      const tried = changedSheet(this.shown, trial.version, trial.sheet);
      this.swap('sheet', tried.generated, tried.keys);
      this.wholeSheetTried = true;
    } else {
      if (this.wholeSheetTried && this.shown) this.swap('sheet', this.shown.generated, this.shown.keys);
      this.wholeSheetTried = false;
      this.applyRules(trial);
    }
    if (trial.overrides !== null && trial.overrides !== undefined) {
      this.swap('overrides', trial.overrides);
      this.overridesTried = true;
    } else if (this.overridesTried && this.shown) {
      this.swap('overrides', this.shown.overrides);
      this.overridesTried = false;
    }
  }

  clearTrial(): void {
    if (!this.shown) return;
    if (this.wholeSheetTried) this.swap('sheet', this.shown.generated, this.shown.keys);
    else this.restoreTouched();
    if (this.overridesTried) this.swap('overrides', this.shown.overrides);
    this.wholeSheetTried = false;
    this.overridesTried = false;
  }

  private restoreTouched(): void {
    for (const one of this.touched.values()) restore(one);
    this.touched.clear();
  }

  /**
   * Puts the rules that are another in place of those that stand, where none came, went or moved: a fraction of the cost of a new sheet
   * (docs/architecture.md). False where more has changed.
   */
  private replaceRules(before: Sheet, now: Sheet): boolean {
    if (before.head !== now.head || !isSame(before.keys, now.keys)) return false;
    return now.rules.every(({ key, layer, css }, i) => {
      if (before.rules[i]?.css === css) return true;
      const standing = this.rules.get(key);
      const fresh = standing && before.rules[i]?.layer === layer && replace(standing, css);
      if (fresh) this.rules.set(key, fresh);
      return !!fresh;
    });
  }

  private applyRules(trial: TrialAnswer): void {
    const now = new Set<string>();
    for (const change of trial.rules) {
      const rule = this.rules.get(change.key);
      if (!rule) continue;
      for (const name of change.unset) {
        now.add(this.touch(change.key, rule, name));
        rule.style.removeProperty(name);
      }
      for (const { name, value } of change.set) {
        now.add(this.touch(change.key, rule, name));
        rule.style.setProperty(name, value);
      }
    }
    for (const [id, one] of this.touched) {
      if (now.has(id)) continue;
      restore(one);
      this.touched.delete(id);
    }
  }

  private touch(key: string, rule: CSSStyleRule, name: string): string {
    const id = `${key} ${name}`;
    if (!this.touched.has(id)) this.touched.set(id, { rule, name, value: rule.style.getPropertyValue(name) });
    return id;
  }

  /** A new element in place of the old: half the cost of changing the text of the one there (docs/architecture.md). */
  private swap(id: 'sheet' | 'overrides', text: string, keys?: readonly string[]): void {
    const fresh = this.document.createElement('style');
    fresh.id = id;
    fresh.textContent = text;
    this.document.getElementById(id)?.replaceWith(fresh);
    if (!keys || !fresh.sheet) return;
    const rules = styleRules(fresh.sheet.cssRules);
    this.rules = new Map(keys.flatMap((key, i) => (rules[i] ? [[key, rules[i]] as const] : [])));
    this.touched.clear();
  }
}

function restore({ rule, name, value }: { rule: CSSStyleRule; name: string; value: string }): void {
  if (value) rule.style.setProperty(name, value);
  else rule.style.removeProperty(name);
}

const isSame = (a: readonly string[], b: readonly string[]) => a.length === b.length && a.every((one, i) => one === b[i]);

/** A style rule, with the conditions around it, in place of one of a layer; null where the text is no rule. */
function replace(standing: CSSStyleRule, css: string): CSSStyleRule | null {
  let whole: CSSRule = standing;
  while (whole.parentRule?.parentRule) whole = whole.parentRule;
  const layer = whole.parentRule as CSSGroupingRule | null;
  if (!layer) return null;
  const at = [...layer.cssRules].indexOf(whole);
  try {
    layer.insertRule(css, at);
  } catch {
    return null;
  }
  layer.deleteRule(at + 1);
  return styleRules(layer.cssRules[at] ? [layer.cssRules[at]] : [])[0] ?? null;
}

/** The style rules of a sheet in order, those in layers and conditions included. */
function styleRules(rules: Iterable<CSSRule>): CSSStyleRule[] {
  return [...rules].flatMap((rule) => {
    if ('selectorText' in rule) return [rule as CSSStyleRule];
    return 'cssRules' in rule ? styleRules((rule as CSSGroupingRule).cssRules) : [];
  });
}
