-- Files on their way in, in pieces of a megabyte.
create table upload (
    id uuid primary key,
    car_id uuid not null references car (id) on delete cascade,
    name text not null,
    created_at timestamp(6) with time zone not null
);

create table upload_piece (
    owner uuid not null references upload (id) on delete cascade,
    ordinal integer not null,
    data bytea not null,
    primary key (owner, ordinal)
);

-- Logs with their rows in pieces, column by column.
create table log (
    id uuid primary key,
    car_id uuid not null references car (id) on delete cascade,
    version integer not null,
    document text not null,
    created_at timestamp(6) with time zone not null
);
create index log_by_car on log (car_id, created_at);

create table log_piece (
    owner uuid not null references log (id) on delete cascade,
    ordinal integer not null,
    data bytea not null,
    primary key (owner, ordinal)
);

-- Parts that the garage has entered or imported itself, beside the shipped catalogue.
create table catalogue_part (
    id uuid primary key,
    version integer not null,
    family text not null,
    document text not null,
    created_at timestamp(6) with time zone not null
);
create index catalogue_part_by_family on catalogue_part (family, created_at);
