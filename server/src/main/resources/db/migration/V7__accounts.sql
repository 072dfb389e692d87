-- People who may sign in. One that has left keeps its row: what it wrote stays its own.
create table account (
    id uuid primary key,
    name text not null,
    role text not null,
    password_hash text,
    created_at timestamp(6) with time zone not null,
    left_at timestamp(6) with time zone
);
create unique index account_by_name on account (lower(name)) where left_at is null;

-- Words that let somebody in, or show one car; what is kept of a word does not tell it.
create table invitation (
    id uuid primary key,
    role text not null,
    word_hash text not null unique,
    made_by uuid references account (id),
    expires_at timestamp(6) with time zone not null
);

create table car_link (
    id uuid primary key,
    car_id uuid not null references car (id) on delete cascade,
    word_hash text not null unique,
    made_by uuid references account (id),
    made_at timestamp(6) with time zone not null,
    expires_at timestamp(6) with time zone not null
);
create index car_link_by_car on car_link (car_id, made_at);

create table sign_in_attempt (
    source text primary key,
    failures integer not null,
    last_at timestamp(6) with time zone not null,
    wait_until timestamp(6) with time zone not null
);

-- Sessions as Spring Session's JDBC repository keeps them.
create table spring_session (
    primary_id char(36) not null primary key,
    session_id char(36) not null unique,
    creation_time bigint not null,
    last_access_time bigint not null,
    max_inactive_interval int not null,
    expiry_time bigint not null,
    principal_name varchar(100)
);
create index spring_session_by_expiry on spring_session (expiry_time);
create index spring_session_by_principal on spring_session (principal_name);

create table spring_session_attributes (
    session_primary_id char(36) not null references spring_session (primary_id) on delete cascade,
    attribute_name varchar(200) not null,
    attribute_bytes bytea not null,
    primary key (session_primary_id, attribute_name)
);

-- Whose every change, entry and picture is, and when; nobody's for what was there before, or at a machine that nobody signs in at.
alter table car add column changed_by uuid references account (id), add column changed_at timestamp(6) with time zone;
alter table duty add column changed_by uuid references account (id), add column changed_at timestamp(6) with time zone;
alter table design add column changed_by uuid references account (id), add column changed_at timestamp(6) with time zone;
alter table log add column changed_by uuid references account (id), add column changed_at timestamp(6) with time zone;
alter table build add column changed_by uuid references account (id), add column changed_at timestamp(6) with time zone;
alter table catalogue_part add column changed_by uuid references account (id), add column changed_at timestamp(6) with time zone;
alter table settings add column changed_by uuid references account (id), add column changed_at timestamp(6) with time zone;
alter table build_entry add column written_by uuid references account (id), add column written_at timestamp(6) with time zone;
alter table care_entry add column written_by uuid references account (id), add column written_at timestamp(6) with time zone;
alter table build_picture add column written_by uuid references account (id);
alter table car_picture add column written_by uuid references account (id);
