import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'

export function Find(props: {
  find?: React.RefObject<HTMLInputElement | null>
  className: string
}) {
  const { t } = useTranslation()
  const navigate = useNavigate()
  return (
    <form
      role="search"
      className={props.className}
      onSubmit={(event) => {
        event.preventDefault()
        const text = String(new FormData(event.currentTarget).get('find')).trim()
        if (text) void navigate(`/queens?find=${encodeURIComponent(text)}`)
      }}
    >
      <input
        ref={props.find}
        name="find"
        className="field w-44 py-1"
        placeholder={t('nav.find')}
        aria-label={t('nav.findLabel')}
        aria-keyshortcuts="/"
      />
    </form>
  )
}
