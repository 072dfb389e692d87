-- Builds: a design as it is put together, with its run sheet as it was made from the design.
create table build (
    id uuid primary key,
    car_id uuid not null references car (id) on delete cascade,
    version integer not null,
    document text not null,
    created_at timestamp(6) with time zone not null
);
create index build_by_car on build (car_id, created_at);

-- What is written on a sheet is only ever added to; whoever writes gives the identity, so that what is sent twice counts once.
create table build_entry (
    id uuid primary key,
    build_id uuid not null references build (id) on delete cascade,
    ordinal integer not null,
    document text not null,
    unique (build_id, ordinal)
);

create table build_picture (
    id uuid primary key,
    build_id uuid not null references build (id) on delete cascade,
    data bytea not null,
    created_at timestamp(6) with time zone not null
);
