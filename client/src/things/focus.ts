/** Where the focus goes: the first value of an editor, the chosen row, the button that adds. */
export const EDITOR = '.thing-editor button.cell, .thing-editor input, .color-editor input:not([type="range"])';
export const CHOSEN = '[aria-pressed="true"], .below-rows button';
export const ADD = '.below-rows button';
