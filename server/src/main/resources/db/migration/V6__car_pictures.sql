-- Pictures of a car itself: what has to move or be cut for a core, before any build is begun.
create table car_picture (
    id uuid primary key,
    car_id uuid not null references car (id) on delete cascade,
    data bytea not null,
    created_at timestamp(6) with time zone not null
);
create index car_picture_by_car on car_picture (car_id, created_at);
