-- Every document says by which schema it was written; earlier ones are lifted to today's when they are read, and stay as they
-- are until somebody changes them.
alter table car add column schema_number integer not null default 1;
alter table duty add column schema_number integer not null default 1;
alter table design add column schema_number integer not null default 1;
alter table log add column schema_number integer not null default 1;
alter table build add column schema_number integer not null default 1;
alter table catalogue_part add column schema_number integer not null default 1;
alter table build_entry add column schema_number integer not null default 1;
alter table care_entry add column schema_number integer not null default 1;

-- What holds for the garage as a whole; one row, or none while everything is as it ships.
create table settings (
    id uuid primary key,
    version integer not null,
    document text not null,
    schema_number integer not null default 1,
    created_at timestamp(6) with time zone not null
);
