import i18next from 'i18next'
import { initReactI18next } from 'react-i18next'
import languages from 'virtual:catalogue'

/** English first; a second language is a second file of the one catalogue that server and screens share. */
void i18next.use(initReactI18next).init({
  lng: 'en',
  fallbackLng: 'en',
  resources: Object.fromEntries(
    Object.entries(languages).map(([language, translation]) => [language, { translation }]),
  ),
  keySeparator: false,
  nsSeparator: false,
  showSupportNotice: false,
  interpolation: { escapeValue: false },
})
