/** Said aloud before every landing, in this order. Common practice. */
export const PRE_LANDING =
  'Before landing: slow setting, wind, spot, legs, people, down, motors stopped before a hand leaves the sticks.';
