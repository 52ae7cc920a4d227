-- A link can also let somebody who is in already choose a new password.
alter table invitation add column person_id uuid references person;

drop function invitation_for(bytea, timestamptz);
create function invitation_for(asked_key bytea, at timestamptz)
    returns table (operation_id uuid, operation text, name text, role text, person_id uuid, email text)
    language sql stable security definer set search_path = public as
$$ select i.operation_id, o.name, i.name, i.role, i.person_id, p.email
    from invitation i join operation o on o.id = i.operation_id left join person p on p.id = i.person_id
    where i.key = asked_key and i.used_at is null and i.expires_at > at
        and (i.person_id is null or p.left_at is null) $$;

-- Made again on the next look: they now say what is to be carried, too.
delete from colony_day;
