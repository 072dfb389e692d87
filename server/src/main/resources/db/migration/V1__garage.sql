-- Cars with their duties and designs. Each holds its document as the text that was sent, so that files go out as they
-- came in; the version column carries optimistic locking.
create table car (
    id uuid primary key,
    version integer not null,
    document text not null,
    created_at timestamp(6) with time zone not null
);

create table duty (
    id uuid primary key,
    car_id uuid not null references car (id) on delete cascade,
    version integer not null,
    document text not null,
    created_at timestamp(6) with time zone not null
);
create index duty_by_car on duty (car_id, created_at);

create table design (
    id uuid primary key,
    car_id uuid not null references car (id) on delete cascade,
    version integer not null,
    document text not null,
    created_at timestamp(6) with time zone not null
);
create index design_by_car on design (car_id, created_at);
