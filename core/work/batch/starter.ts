import type { StarterText } from '../kind';

/** Ten letters that go to many people at once. */
export const BATCH_STARTER: StarterText = {
  id: 'starter-batches',
  name: 'Starter letters for many',
  about: 'Accepted, declined, invited, reminded: a letter for each row of a table.',
  notation: `
title: Accepted
purpose: Somebody who applied can begin
cue: ac

field Name: detail customer

field Role: text
  question: As what do they begin?

field Begins: date
  question: On which day do they begin?

field Me: writer name

== wording Main: en-GB

-- part Subject

Your application

-- part Message

Dear {Name},

We are glad to tell you that you can begin as {Role} on {Begins|long}.

Yours sincerely,
{Me}
====
title: Waiting list
purpose: There is no place yet
cue: wl

field Name: detail customer

field Role: text
  question: For what did they apply?

field Me: writer name

== wording Main: en-GB

-- part Subject

Your application

-- part Message

Dear {Name},

Thank you for applying as {Role}. There is no place at the moment, and we have put you on our waiting list.

Yours sincerely,
{Me}
====
title: Declined
purpose: Somebody who applied cannot begin
cue: de

field Name: detail customer

field Role: text
  question: For what did they apply?

field Me: writer name

== wording Main: en-GB

-- part Subject

Your application

-- part Message

Dear {Name},

Thank you for applying as {Role}. We are sorry that we cannot offer you a place this time.

Yours sincerely,
{Me}
====
title: Invited to talk
purpose: Somebody is asked to come in
cue: in

field Name: detail customer

field Day: date
  question: On which day?

field Time: time
  question: At what time?

field Me: writer name

== wording Main: en-GB

-- part Subject

An invitation

-- part Message

Dear {Name},

We would like to meet you on {Day|weekday} at {Time}.

Yours sincerely,
{Me}
====
title: Something is missing
purpose: An application is not complete
cue: mi

field Name: detail customer

field Missing: text
  question: What is missing?

field Me: writer name

== wording Main: en-GB

-- part Subject

Your application is not complete

-- part Message

Dear {Name},

Before we can decide we still need {Missing} from you.

Yours sincerely,
{Me}
====
title: Reminder
purpose: Somebody has not answered
cue: re

field Name: detail customer

field About: text
  question: About what did we write?

field Me: writer name

== wording Main: en-GB

-- part Subject

A reminder

-- part Message

Dear {Name},

We wrote to you about {About} and have not heard from you yet. Please let us know how you have decided.

Yours sincerely,
{Me}
====
title: Thank you
purpose: Thanks for a gift or for help
cue: ty

field Name: detail customer

field What: text
  question: What do you thank them for?

field Me: writer name

== wording Main: en-GB

-- part Subject

Thank you

-- part Message

Dear {Name},

Thank you very much for {What}.

Yours sincerely,
{Me}
====
title: Another day
purpose: An appointment is moved
cue: ad

field Name: detail customer

field Day: date
  question: To which day is it moved?

field Me: writer name

== wording Main: en-GB

-- part Subject

A change of date

-- part Message

Dear {Name},

We have to move our appointment. The new day is {Day|weekday}.

Yours sincerely,
{Me}
====
title: Confirmed
purpose: A booking or a place is confirmed
cue: co

field Name: detail customer

field What: text
  question: What is confirmed?

field Day: date
  question: For which day?

field Me: writer name

== wording Main: en-GB

-- part Subject

Confirmed

-- part Message

Dear {Name},

We confirm {What} on {Day|long}.

Yours sincerely,
{Me}
====
title: News for all
purpose: One piece of news for everybody
cue: ne

field Name: detail customer

field News: text
  question: What do you want to tell them?

field Me: writer name

== wording Main: en-GB

-- part Subject

News

-- part Message

Dear {Name},

{News}

Yours sincerely,
{Me}
`,
};
