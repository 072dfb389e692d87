-- What is written in a car's care book is only ever added to, in the same way as on a run sheet.
create table care_entry (
    id uuid primary key,
    car_id uuid not null references car (id) on delete cascade,
    ordinal integer not null,
    document text not null,
    unique (car_id, ordinal)
);
