import type { GlobalThemeOverrides } from 'naive-ui'
import { palettes, type Theme } from './tokens'

/** The component library in our own paper and ink: hairlines, square corners, no shadow. */
export function overrides(theme: Theme): GlobalThemeOverrides {
  const c = palettes[theme]
  const field = {
    color: c.sheet,
    colorFocus: c.sheet,
    colorDisabled: c.paper,
    textColor: c.ink,
    caretColor: c.water,
    placeholderColor: c.soft,
    border: `1px solid ${c.soft}`,
    borderHover: `1px solid ${c.water}`,
    borderFocus: `1px solid ${c.water}`,
    boxShadowFocus: `0 0 0 2px ${c.water}55`,
    borderError: `1px solid ${c.rust}`,
    borderHoverError: `1px solid ${c.rust}`,
    borderFocusError: `1px solid ${c.rust}`,
    boxShadowFocusError: `0 0 0 2px ${c.rust}55`,
    caretColorError: c.rust,
  }

  return {
    common: {
      fontFamily: "'Atkinson Hyperlegible', system-ui, sans-serif",
      fontSize: '16px',
      fontSizeMedium: '16px',
      fontSizeLarge: '18px',
      borderRadius: '2px',
      borderRadiusSmall: '2px',
      bodyColor: c.paper,
      cardColor: c.sheet,
      popoverColor: c.sheet,
      textColorBase: c.ink,
      textColor1: c.ink,
      textColor2: c.ink,
      textColor3: c.soft,
      primaryColor: c.water,
      primaryColorHover: c.water,
      primaryColorPressed: c.ink,
      primaryColorSuppl: c.water,
      errorColor: c.rust,
      dividerColor: c.hair,
      borderColor: c.hair,
      heightMedium: '44px',
      heightLarge: '48px',
    },
    Input: field,
    Button: {
      fontWeight: '700',
      textColorPrimary: c.onWater,
      textColorHoverPrimary: c.onWater,
      textColorPressedPrimary: c.onWater,
      textColorFocusPrimary: c.onWater,
      textColorDisabledPrimary: c.onWater,
      colorHoverPrimary: c.ink,
      colorPressedPrimary: c.ink,
      rippleDuration: '0s',
      border: `1px solid ${c.soft}`,
    },
    Select: {
      peers: {
        InternalSelection: {
          ...field,
          colorActive: c.sheet,
          borderActive: `1px solid ${c.water}`,
          boxShadowActive: `0 0 0 2px ${c.water}55`,
          arrowColor: c.soft,
        },
        InternalSelectMenu: {
          color: c.sheet,
          optionTextColor: c.ink,
          optionTextColorActive: c.water,
          optionCheckColor: c.water,
          optionColorPending: c.paper,
          optionColorActive: c.paper,
        },
      },
    },
  }
}
