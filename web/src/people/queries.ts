import { queryOptions } from '@tanstack/react-query'
import { answered, api } from '../api/client'

export const peopleQuery = queryOptions({
  queryKey: ['people'],
  queryFn: () => answered(api.GET('/api/v1/people')),
})

export const invitationQuery = (secret: string) =>
  queryOptions({
    queryKey: ['invitation', secret],
    queryFn: () =>
      answered(api.GET('/api/v1/people/invitations/{secret}', { params: { path: { secret } } })),
    staleTime: Infinity,
  })
