import type { ThemeConfig } from 'antd';

/** Near-neutral and quiet: colours are judged here. Contrasts measured against WCAG 2.2. */
export const theme: ThemeConfig = {
  cssVar: { key: 'app', prefix: 'ui' },
  hashed: false,
  token: {
    motion: false,
    fontFamily: "'Public Sans Variable', system-ui, sans-serif",
    fontFamilyCode: "'JetBrains Mono Variable', monospace",
    fontSize: 13,
    controlHeight: 28,
    borderRadius: 6,
    colorPrimary: '#0b5d63',
    colorInfo: '#0b5d63',
    colorLink: '#0b5d63',
    colorText: '#20282b',
    colorTextSecondary: '#4f585b',
    colorTextTertiary: '#5d6669',
    colorTextDescription: '#5d6669',
    colorTextPlaceholder: '#6a7275',
    colorBgLayout: '#f5f3ef',
    colorBorder: '#8b8a84',
    colorBorderSecondary: '#dcd8d0',
    colorError: '#b42318',
    colorErrorBg: '#fdf1ef',
    colorSuccess: '#256029',
    colorSuccessBg: '#eef5ee',
    colorWarning: '#8a5300',
    colorWarningBg: '#fbf4e6',
    controlItemBgActive: '#e3eeee',
    controlItemBgActiveHover: '#d5e5e5',
  },
  components: {
    Segmented: { itemSelectedBg: '#20282b', itemSelectedColor: '#ffffff', trackBg: '#ffffff', trackPadding: 0, itemColor: '#20282b' },
    Button: { primaryShadow: 'none', defaultShadow: 'none', dangerShadow: 'none', fontWeight: 500 },
    Select: { optionSelectedBg: '#e3eeee' },
  },
};
