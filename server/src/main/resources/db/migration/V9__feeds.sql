-- Loggers that are listened to: which server does, and when it last showed that it lives.
create table feed (
    build_id uuid primary key references build (id) on delete cascade,
    server uuid not null,
    source text not null,
    seen_at timestamp(6) with time zone not null
);

-- Words by which a logger that comes by itself is let in, each for one build.
create table logger_key (
    id uuid primary key,
    build_id uuid not null references build (id) on delete cascade,
    word_hash text not null unique,
    expires_at timestamp(6) with time zone not null
);
