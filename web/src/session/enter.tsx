import { useTranslation } from 'react-i18next'
import { answered, api } from '../api/client'
import { Labelled } from '../ui/Fields'

export type Credentials = { email: string; password: string }

/** Does first what makes somebody a person here, then signs them in. */
export async function enter({ email, password }: Credentials, first: () => Promise<unknown>) {
  // The first answer carries the token that the next request must show.
  await fetch('/api/v1/session')
  await first()
  return answered(api.POST('/api/v1/session', { body: { email, password } }))
}

/** Address and password of somebody who is new here. */
export function NewCredentials({
  value,
  wide,
  known = false,
  onChange,
}: {
  value: Credentials
  wide?: boolean
  /** the address is that of somebody who is in already */
  known?: boolean
  onChange: (next: Credentials) => void
}) {
  const { t } = useTranslation()
  const { email, password } = value
  return (
    <>
      <Labelled name={t('signIn.email')}>
        {(id) => (
          <input
            id={id}
            className="field"
            type="email"
            autoComplete="username"
            required
            readOnly={known}
            value={email}
            onChange={(event) => onChange({ password, email: event.target.value })}
          />
        )}
      </Labelled>
      <Labelled name={t('founding.password')} wide={wide ?? false}>
        {(id) => (
          <input
            id={id}
            className="field"
            type="password"
            autoComplete="new-password"
            required
            minLength={10}
            value={password}
            onChange={(event) => onChange({ email, password: event.target.value })}
          />
        )}
      </Labelled>
    </>
  )
}
