import type { ThemeConfig } from 'antd'

/** Ant Design's controls in the product's own colours, type and sizes. */
export const THEME: ThemeConfig = {
  token: {
    colorPrimary: '#3f6335',
    colorInfo: '#3f6335',
    colorSuccess: '#3f6335',
    colorWarning: '#9a6408',
    colorError: '#9c3220',
    colorTextBase: '#1e2c26',
    colorBgBase: '#fffdf8',
    colorBgLayout: '#f6f1e7',
    colorBorder: '#bdb49c',
    colorBorderSecondary: '#ddd3bd',
    colorTextPlaceholder: '#6a6f66',
    colorLink: '#355a2c',
    borderRadius: 10,
    borderRadiusLG: 14,
    controlHeight: 44,
    controlHeightLG: 64,
    fontFamily: "'Source Sans 3 Variable', 'Source Sans 3', sans-serif",
    fontSize: 17,
    fontSizeLG: 20,
    lineWidth: 1.5,
    motionDurationMid: '0.12s',
    motionDurationSlow: '0.16s',
    boxShadowSecondary: '0 10px 34px rgb(36 52 46 / 18%)',
  },
  components: {
    Button: {
      fontWeight: 650,
      primaryShadow: 'none',
      defaultShadow: 'none',
      defaultBorderColor: '#a9b39a',
      defaultColor: '#2f4f27',
    },
    Modal: { titleFontSize: 24 },
    Tabs: { titleFontSize: 17, itemColor: '#4a524b' },
  },
}
